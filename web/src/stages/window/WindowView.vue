<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useFindingText } from '@/shared/figures/findings'
import { useBoard, useChoices, useWindow } from '@/shared/state/job'
import { useNarrow } from '@/shared/state/narrow'
import PreparationTasks from '@/shared/ui/PreparationTasks.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import GateRule from './GateRule.vue'
import ReadingsForm from './ReadingsForm.vue'
import WindowHours from './WindowHours.vue'

/** May this surface be sprayed now, and what would clear it? */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const text = useFindingText()
const window = useWindow(() => props.surface)
const board = useBoard(() => props.job)
const isNarrow = useNarrow()
const choices = useChoices()
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))
const answer = computed(() => window.data.value?.answer ?? null)
const done = computed(() => window.data.value?.preparation.filter((task) => task.done).length ?? 0)
const reEntry = computed(
  () => choices.data.value?.sheets.find((s) => s.name === window.data.value?.sheet)?.reEntry ?? '',
)
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="window">
    <h1 class="visually-hidden">{{ writing.labelled(t('window.title'), row?.name ?? '') }}</h1>
    <ProblemNote v-if="window.error.value" :problem="window.error.value" @retry="window.refetch()" />
    <ElSkeleton v-else-if="!window.data.value" :rows="7" animated />
    <template v-else>
      <p v-if="answer && !answer.begun" class="now">
        <VerdictMark :verdict="null" :size="30" />
        <b>{{ t('window.notBegun') }}</b>
        <span class="quiet">{{ window.data.value.sheet }}</span>
      </p>
      <p v-else-if="answer" class="now">
        <VerdictMark :verdict="answer.verdict" :size="30" />
        <b>{{ t('window.now', { verdict: t(`verdict.${answer.verdict}`) }) }}</b>
        <span class="quiet">{{ window.data.value.sheet }}</span>
      </p>
      <p v-else class="now quiet">{{ t('window.noSheet') }}</p>
      <section v-if="answer?.together.length" class="together">
        <h2>{{ t('window.together') }}</h2>
        <p v-for="(remedy, i) in answer.together" :key="i">{{ text.remedy(remedy) }}</p>
      </section>
      <WindowHours v-if="!isNarrow" :key="`${surface} hours`" :job="job" :surface="surface" />
      <ReadingsForm :key="surface" :job="job" :surface="surface" :answer="window.data.value" />
      <!-- On a phone what is typed now comes first. -->
      <WindowHours v-if="isNarrow" :key="`${surface} hours`" :job="job" :surface="surface" />
      <section v-if="answer">
        <h2>{{ t('window.rules') }}</h2>
        <ul class="rules">
          <GateRule v-for="finding in answer.findings" :key="finding.rule" :finding="finding" />
        </ul>
      </section>
    </template>
    <template #side>
      <section v-if="window.data.value" class="prep">
        <h2>{{ t('window.prep') }} {{ done }}/{{ window.data.value.preparation.length }}</h2>
        <PreparationTasks :key="surface" :job="job" :surface="surface" :tasks="window.data.value.preparation" />
        <RouterLink class="act" :to="{ name: 'prepare', params: { job } }">{{ t('window.prepAll') }}</RouterLink>
      </section>
      <section class="safety small">
        <h2>{{ t('window.safetyTitle') }}</h2>
        <p>{{ t('window.safety', { reEntry: reEntry || '…' }) }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.now {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-bottom: 12px;
}
.now b {
  font: 650 1.6rem var(--head);
}
.together {
  border-left: 5px solid var(--copper);
  background: var(--sheet);
  padding: 10px 16px;
  margin-bottom: 16px;
}
h2 {
  margin-bottom: 6px;
}
.rules {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
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
