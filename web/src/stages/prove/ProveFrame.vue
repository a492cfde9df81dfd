<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useBoard } from '@/shared/state/job'
import FindingsList from '@/shared/ui/FindingsList.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import StagePages from '@/shared/ui/StagePages.vue'
import type { useProof } from './useProof'

/** The pages of Prove: the surface, what is missing before anything can be proven, and the findings beside it. */
const props = defineProps<{
  job: string
  surface: string
  route: string
  proof: ReturnType<typeof useProof>
  findings?: readonly Schemas['FindingAnswer'][]
}>()
const { t } = useI18n()
const writing = useWriting()
const board = useBoard(() => props.job)
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))
const told = computed(() => props.proof.told.data.value)
const PAGES = ['prove', 'proveDefects', 'proveInspection', 'proveTightness', 'proveReEntry'] as const
const pages = computed(() =>
  PAGES.map((name) => ({
    name,
    to: { name, params: { job: props.job, surface: props.surface } },
    text: t(`prove.page.${name}`),
  })),
)
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="prove" :route="route">
    <h1 class="visually-hidden">{{ writing.labelled(t(`prove.page.${route}`), row?.name ?? '') }}</h1>
    <StagePages :label="t('prove.page.label')" :pages="pages" />
    <ProblemNote
      v-if="proof.told.error.value && !told"
      :problem="proof.told.error.value"
      @retry="proof.told.refetch()"
    />
    <ElSkeleton v-else-if="!told" :rows="7" animated />
    <p v-else-if="told.missing" class="quiet">
      {{ t(told.missing === 'sheet' ? 'prove.noSheet' : 'prove.noThickness') }}
    </p>
    <template v-else>
      <slot />
      <p v-for="one in proof.faults.value" :key="one.record" class="fault" role="alert">
        {{ one.fault }}
        <ElButton link type="primary" @click="proof.letGo(one.record)">{{ t('unsent.discard') }}</ElButton>
      </p>
      <RouterLink v-if="!proof.locked.value" :to="{ name: 'spray', params: { job, surface } }" class="wrong small">{{
        t('prove.wrong')
      }}</RouterLink>
    </template>
    <template #side>
      <FindingsList v-if="findings?.length" :findings="findings" />
      <slot name="side" />
    </template>
  </StageFrame>
</template>

<style scoped>
.wrong {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  margin-top: 12px;
}
</style>
