<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Finding } from '@/shared/api/client'
import { useCitation } from '@/shared/figures/citations'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import { useWorkings } from '@/shared/state/workings'
import FigureText from '@/shared/ui/FigureText.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'

/** One rule of the gate: reading, limit, margin, and what would clear it. */
const props = defineProps<{ finding: Finding }>()
const { t } = useI18n()
const reader = useReader()
const text = useFindingText()
const cited = useCitation()
const workings = useWorkings()
// Most rules hold a reading against a limit, and the margin has the working; a distance to the dew point is itself computed.
const isComputed = computed(() => 'dew' in props.finding.figures)
</script>

<template>
  <li>
    <VerdictMark :verdict="finding.verdict" :size="24" />
    <div class="what">
      <h3>
        <small class="quiet">{{ finding.isNumbered ? finding.rule : '' }}</small>
        <button
          v-if="finding.working && isComputed"
          type="button"
          class="figure"
          @click="workings.open(finding.working)"
        >
          {{ text.title(finding) }}
        </button>
        <template v-else>{{ text.title(finding) }}</template>
      </h3>
      <p class="quiet">{{ text.detail(finding) }}</p>
      <p v-for="remedy in finding.remedies" :key="remedy.kind" class="remedy">{{ text.remedy(remedy) }}</p>
      <p class="small quiet">
        {{ cited(finding.source)
        }}<template v-if="finding.words.instrument"> · {{ text.word(finding.words.instrument) }}</template
        ><template v-if="finding.figures.age"> · {{ reader.print(finding.figures.age) }}</template>
      </p>
    </div>
    <dl v-if="finding.measured">
      <div>
        <dt>{{ t('window.col.reading') }}</dt>
        <dd>{{ reader.print(finding.measured) }}</dd>
      </div>
      <div v-if="finding.limit">
        <dt>{{ t('window.col.limit') }}</dt>
        <dd>{{ reader.print(finding.limit) }}</dd>
      </div>
      <div v-if="finding.margin" class="margin" :class="finding.verdict">
        <dt>{{ t('window.col.margin') }}</dt>
        <dd><FigureText :figure="finding.margin" :working="isComputed ? null : finding.working" /></dd>
      </div>
    </dl>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 30px 1fr auto;
  gap: 10px;
  align-items: start;
  padding: 12px 0;
  border-bottom: 1px solid var(--line);
}
h3 {
  font: 650 var(--text) / 1.3 var(--body);
}
h3 small {
  font-weight: 400;
  margin-right: 6px;
}
.remedy {
  color: var(--copper);
  font-weight: 650;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, 92px);
  margin: 0;
  text-align: right;
  align-content: start;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 650;
}
.margin.clear {
  color: var(--clear);
}
.margin.care {
  color: var(--care);
}
.margin.hold {
  color: var(--hold);
}
@media (max-width: 560px) {
  li {
    grid-template-columns: 30px 1fr;
  }
  dl {
    grid-column: 2;
    grid-template-columns: repeat(3, 1fr);
    text-align: left;
  }
}
</style>
