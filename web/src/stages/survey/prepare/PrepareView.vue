<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBoard } from '@/shared/state/job'
import { usePreparation } from '@/shared/state/survey'
import PreparationTasks from '@/shared/ui/PreparationTasks.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import SurveyFrame from '../SurveyFrame.vue'
import PrepareSection from './PrepareSection.vue'

/** Who does what before the crew comes: one page, ticked off on screen or on paper. */
const props = defineProps<{ job: string }>()
/** With more surfaces than this the fields of each are drawn when it comes near the screen. */
const LONG = 30
const { t } = useI18n()
const list = usePreparation(() => props.job)
const board = useBoard(() => props.job)

const tasks = computed(() => [
  ...(list.data.value?.forJob ?? []),
  ...(list.data.value?.surfaces.flatMap((s) => s.tasks) ?? []),
])
const done = computed(() => tasks.value.filter((task) => task.done).length)
const openOnly = ref(false)
const print = () => globalThis.print()
</script>

<template>
  <SurveyFrame :job="job" wide>
    <div class="head">
      <div>
        <h1>{{ t('survey.prepare.title') }}</h1>
        <p class="quiet">
          {{ board.data.value?.job.name }} · {{ t('survey.prepare.count', { done, all: tasks.length }) }}
        </p>
      </div>
      <span class="acts no-print">
        <ElCheckbox v-model="openOnly">{{ t('survey.prepare.openOnly') }}</ElCheckbox>
        <ElButton @click="print">{{ t('survey.prepare.print') }}</ElButton>
      </span>
    </div>
    <p class="quiet small no-print">{{ t('survey.prepare.lead') }}</p>
    <ProblemNote v-if="list.error.value" :problem="list.error.value" @retry="list.refetch()" />
    <ElSkeleton v-else-if="!list.data.value" :rows="8" animated />
    <p v-else-if="list.data.value.surfaces.length === 0" class="quiet">{{ t('board.empty') }}</p>
    <div v-else class="lists" :class="{ 'open-only': openOnly }">
      <section>
        <h2>{{ t('survey.prepare.once') }}</h2>
        <PreparationTasks :job="job" :tasks="list.data.value.forJob" detailed />
      </section>
      <PrepareSection
        v-for="one in list.data.value.surfaces"
        :key="one.surfaceId"
        :job="job"
        :of="one"
        :long="list.data.value.surfaces.length > LONG"
      />
    </div>
  </SurveyFrame>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  align-items: start;
}
.lists {
  columns: 2 480px;
  column-gap: 36px;
  margin-top: 14px;
}
.lists section {
  break-inside: avoid;
  margin-bottom: 22px;
}
.lists :deep(h2 a) {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: inherit;
  text-decoration: none;
}
.acts {
  display: flex;
  gap: 18px;
  align-items: center;
}
.open-only :deep(li.done) {
  display: none;
}
@media print {
  .lists {
    columns: 3;
    column-gap: 16px;
    font-size: 7.5pt;
    line-height: 1.2;
    margin-top: 6px;
  }
  .lists section {
    break-inside: auto;
    margin-bottom: 6px;
  }
  h1 {
    font-size: 13pt;
  }
  .lists :deep(h2) {
    font-size: 9pt;
    break-after: avoid;
  }
}
</style>
