<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { usePapersMade, type Ending, type Paper } from '@/shared/state/papers'
import { useTimes } from '@/shared/state/times'

/** Papers that were made of a job. What is saved again reads as it was made, however the job has changed since. */
const props = defineProps<{ job: string; kinds: readonly Schemas['PaperKind'][] }>()
defineEmits<{ again: [paper: Paper, ending: Ending] }>()
const { t } = useI18n()
const times = useTimes(() => props.job)
const AT_FIRST = 5
const all = ref(false)
const known = usePapersMade(() => props.job)
const made = computed(() => (known.data.value ?? []).filter((one) => props.kinds.includes(one.kind)))
const shown = computed(() => (all.value ? made.value : made.value.slice(0, AT_FIRST)))
</script>

<template>
  <section v-if="shown.length" class="papers">
    <h2>{{ t('papers.title') }}</h2>
    <p class="small quiet">{{ t('papers.lead') }}</p>
    <ul>
      <li v-for="paper in shown" :key="paper.id">
        <span>{{ paper.title }}</span>
        <span class="small quiet">
          {{ t('papers.made', { at: times.time(paper.madeAt), by: paper.madeBy }) }}
          {{ t(`papers.units.${paper.units}`) }}
        </span>
        <ElButton
          link
          type="primary"
          class="no-print"
          :aria-label="t('papers.againOf', { title: paper.title, at: times.time(paper.madeAt) })"
          @click="$emit('again', paper, 'pdf')"
        >
          {{ t('papers.again') }}
        </ElButton>
      </li>
    </ul>
    <ElButton v-if="made.length > shown.length" link type="primary" class="no-print" @click="all = true">
      {{ t('papers.all', { count: made.length }) }}
    </ElButton>
  </section>
</template>

<style scoped>
.papers {
  margin: 22px 0;
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
li > :first-child {
  flex: 1 1 240px;
}
</style>
