<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FormulaText from './FormulaText.vue'
import { useReader } from '../state/reader'
import { useCitation } from '../figures/citations'
import { useWorkings } from '../state/workings'
import { useWorkingNames } from '../figures/workingNames'

/** How a figure came about: formula, values put in, result, source; each value can be followed further down. */
const workings = useWorkings()
const reader = useReader()
const { name } = useWorkingNames()
const cited = useCitation()
const { t } = useI18n()
const { labelled } = useWriting()

const shown = computed(() => workings.trail.length > 0)
const last = computed(() => workings.trail.at(-1))
const width = Math.min(480, globalThis.innerWidth)
</script>

<template>
  <ElDrawer :model-value="shown" :size="width" :title="t('workings.title')" append-to-body @close="workings.close()">
    <div v-if="last" class="workings">
      <nav v-if="workings.trail.length > 1" :aria-label="t('workings.title')">
        <template v-for="(step, i) in workings.trail.slice(0, -1)" :key="i">
          <ElButton link type="primary" @click="workings.back(i)">{{ name(step.name) }}</ElButton>
          <span aria-hidden="true"> › </span>
        </template>
      </nav>
      <h3>{{ name(last.name) }}</h3>
      <p class="formula"><FormulaText :text="last.formula" /></p>
      <dl>
        <template v-for="term in last.terms" :key="term.symbol + term.name">
          <dt>
            <b><FormulaText :text="term.symbol" /></b> <span class="quiet">{{ name(term.name) }}</span>
          </dt>
          <dd>
            {{ reader.print(term.value) }}
            <ElButton v-if="term.from" link type="primary" @click="workings.deeper(term.from)">
              {{ t('workings.openTerm') }}<span class="visually-hidden"> {{ name(term.name) }}</span>
            </ElButton>
          </dd>
        </template>
        <dt class="result">{{ t('workings.result') }}</dt>
        <dd class="result">{{ reader.print(last.result) }}</dd>
      </dl>
      <p class="small quiet">{{ labelled(t('workings.source'), cited(last.source)) }}</p>
      <p class="small quiet">{{ t('workings.lead') }}</p>
    </div>
  </ElDrawer>
</template>

<style scoped>
.workings {
  display: grid;
  gap: 14px;
  color: var(--ink);
}
.formula {
  font-size: 1.1rem;
  padding: 12px 14px;
  background: var(--paper);
  border-left: 4px solid var(--copper);
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
dd {
  text-align: right;
  display: flex;
  gap: 10px;
  justify-content: flex-end;
  align-items: baseline;
}
dd .el-button {
  padding: 0;
}
.result {
  font-weight: 700;
  border-bottom: 0;
}
</style>
