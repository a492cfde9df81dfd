<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Finding, Schemas } from '../api/client'
import { useCitation } from '../figures/citations'
import { useFindingText } from '../figures/findings'
import { useWorkings } from '../state/workings'
import VerdictMark from './VerdictMark.vue'

/** Findings with mark, fact, reason and what would clear them. */
const props = defineProps<{ findings: readonly Finding[] }>()
const emit = defineEmits<{ thickness: [amount: number] }>()
const { t } = useI18n()
const text = useFindingText()
const cited = useCitation()
const { open: openWorking } = useWorkings()

const counts = computed(() =>
  Object.fromEntries(['hold', 'care', 'clear'].map((v) => [v, props.findings.filter((f) => f.verdict === v).length])),
)

function act(remedy: Schemas['RemedyAnswer']) {
  const thickness = remedy.figures.thickness
  if (thickness) emit('thickness', thickness.amount)
}
</script>

<template>
  <section class="findings" aria-labelledby="findings-title">
    <h2 id="findings-title">
      {{ t('finding.title') }} <small class="quiet">{{ t('finding.count', counts) }}</small>
    </h2>
    <ul>
      <li v-for="finding in findings" :key="finding.rule + finding.case">
        <VerdictMark :verdict="finding.verdict" :size="18" />
        <div>
          <h3>
            <button v-if="finding.working" type="button" class="figure" @click="openWorking(finding.working)">
              {{ text.title(finding) }}
            </button>
            <template v-else>{{ text.title(finding) }}</template>
          </h3>
          <p>{{ text.detail(finding) }}</p>
          <template v-for="remedy in finding.remedies" :key="remedy.kind">
            <ElButton v-if="remedy.kind === 'goToThickness'" link type="primary" @click="act(remedy)">
              {{ text.remedy(remedy) }}
            </ElButton>
            <p v-else class="remedy">{{ text.remedy(remedy) }}</p>
          </template>
          <p class="small quiet source">{{ cited(finding.source) }}</p>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 small {
  font: 400 var(--text-s) var(--body);
}
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 6px;
  align-items: start;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
h3 {
  font: 650 var(--text) / 1.3 var(--body);
}
p {
  color: var(--ink-2);
}
.remedy {
  color: var(--copper);
  font-weight: 650;
}
.source {
  margin-top: 2px;
}
</style>
