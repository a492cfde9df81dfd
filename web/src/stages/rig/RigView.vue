<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useBoard } from '@/shared/state/job'
import RigSequences from '@/shared/sequences/RigSequences.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import LastShots from './LastShots.vue'
import RigSetting from './RigSetting.vue'
import SetPoints from './SetPoints.vue'
import ShotDiagnosis from './ShotDiagnosis.vue'
import SprayerCheck from './SprayerCheck.vue'
import TestShot from './TestShot.vue'
import { useRig } from './useRig'

/** Is the machine ready, and is its foam good? */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const board = useBoard(() => props.job)
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))
const picked = ref<string>()
const rig = useRig(() => props.surface, picked)
const told = computed(() => rig.data.value)
const rigs = computed(() => (told.value?.rigs ?? []).map(({ id, name }) => ({ value: id, text: name })))
const which = computed({ get: () => told.value?.rig ?? undefined, set: (id) => (picked.value = id) })
const last = computed(() => told.value?.shots[0])
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="rig">
    <h1 class="visually-hidden">{{ writing.labelled(t('rig.title'), row?.name ?? '') }}</h1>
    <ProblemNote v-if="rig.error.value" :problem="rig.error.value" @retry="rig.refetch()" />
    <ElSkeleton v-else-if="!told" :rows="7" animated />
    <p v-else-if="told.missing === 'sheet'" class="quiet">{{ t('rig.noSheet') }}</p>
    <p v-else-if="told.missing === 'rig'">
      {{ t('rig.noRig') }} <RouterLink :to="{ name: 'means' }">{{ t('rig.toMeans') }}</RouterLink>
    </p>
    <template v-else>
      <FindingLine v-if="told.standing" class="standing" :finding="told.standing" :size="26" detail />
      <PickField
        v-if="rigs.length > 1"
        v-model="which"
        class="which"
        name="rig"
        :label="t('rig.which')"
        :options="rigs"
      />
      <!-- What is begun or typed is of the rig that is picked, and waits until that one is here. -->
      <ElSkeleton v-if="rig.isPlaceholderData.value" :rows="7" animated />
      <template v-else>
        <RigSequences
          v-if="told.rig"
          :key="told.rig"
          :rig="told.rig"
          :job="job"
          :surface="surface"
          :time-zone="board.data.value?.job.timeZone"
        />
        <RigSetting :key="`${surface} ${told.rig}`" :job="job" :surface="surface" :rig="told" />
        <SprayerCheck :key="`${surface} ${told.rig} sprayer`" :job="job" :surface="surface" :rig="told" />
        <ShotDiagnosis v-if="last" :key="last.id" :job="job" :surface="surface" :shot="last" />
        <TestShot
          v-if="told.setting?.isOfSurface"
          :key="`${surface} ${told.rig} shot`"
          :job="job"
          :surface="surface"
          :rig="told"
        />
        <LastShots :job="job" :shots="told.shots" />
      </template>
    </template>
    <template #side>
      <SetPoints v-if="told?.proposed" :proposed="told.proposed" :sheet="told.sheet ?? ''" />
      <section class="safety small">
        <h2>{{ t('rig.safety.title') }}</h2>
        <p>{{ t('rig.safety.text') }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.standing {
  font-size: 1.15rem;
  margin-bottom: 14px;
}
.which {
  max-width: 300px;
  margin-bottom: 14px;
}
.safety {
  margin-top: 22px;
  color: var(--ink-2);
}
.safety h2 {
  font-size: 1rem;
  color: var(--ink);
}
</style>
