<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useCitation } from '@/shared/figures/citations'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import TypeIn from '@/shared/typing/TypeIn.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'
import type { Candidate } from './useChooseDesk'

/** Why a system stands where it does: parts of its score, opinions on condensation, rules; and a held one overridden with a reason. */
const props = defineProps<{ candidate: Candidate; mayOverride: boolean }>()
const emit = defineEmits<{ pick: [reason: string] }>()
const { t } = useI18n()
const { labelled } = useWriting()
const reader = useReader()
const text = useFindingText()
const cited = useCitation()
const overriding = ref(false)
const reason = ref('')
const id = useId()

// A sheet's limit and the depth are nobody's to override.
const mayYield = computed(() =>
  props.candidate.findings.filter((finding) => finding.verdict === 'hold').every((f) => f.yieldsToReason),
)
const columns = computed((): Column<Candidate['scores'][number]>[] => [
  { key: 'part', label: t('choose.scoreCol.part'), text: (score) => t(`choose.part.${score.part}`) },
  {
    key: 'measured',
    label: t('choose.scoreCol.measured'),
    text: (score) => reader.print(score.measured),
    figure: true,
  },
  { key: 'worth', label: t('choose.scoreCol.worth'), figure: true },
])
</script>

<template>
  <div class="why">
    <section v-if="candidate.scores.length">
      <h4>{{ t('choose.scores') }}</h4>
      <DataTable
        class="small"
        :label="t('choose.scores')"
        :columns="columns"
        :rows="candidate.scores"
        :by="(score) => score.part"
      >
        <template #worth="{ row: score }">
          <FigureText :figure="score.worth" :working="score.working" />
          <span class="quiet"> {{ t('choose.scorePart', { share: reader.print(score.weight) }) }}</span>
        </template>
      </DataTable>
    </section>
    <section>
      <h4>{{ t('choose.opinions') }}</h4>
      <ul>
        <li v-for="opinion in candidate.opinions" :key="opinion.rule">
          <VerdictMark :verdict="opinion.verdict" :size="15" />
          <div>
            <b>{{ text.title(opinion) }}</b>
            <p class="small">{{ text.detail(opinion) }}</p>
            <p class="small quiet">{{ cited(opinion.source) }}</p>
          </div>
        </li>
      </ul>
      <p v-if="candidate.opinionsDiffer" class="small quiet">{{ t('choose.differ') }}</p>
    </section>
    <section>
      <h4>{{ t('choose.rules') }}</h4>
      <p v-if="candidate.findings.length === 0" class="small">{{ t('choose.noRules') }}</p>
      <ul>
        <li v-for="finding in candidate.findings" :key="finding.rule">
          <VerdictMark :verdict="finding.verdict" :size="15" />
          <div>
            <b>{{ labelled(finding.rule, text.title(finding)) }}</b>
            <p class="small">{{ text.detail(finding) }}</p>
          </div>
        </li>
      </ul>
      <template v-if="candidate.excluded && mayOverride && mayYield">
        <ElButton v-if="!overriding" link type="primary" @click="overriding = true">
          {{ t('choose.override') }}
        </ElButton>
        <form v-else @submit.prevent="emit('pick', reason)">
          <label :for="`${id}-reason`">{{ t('choose.overrideReason') }}</label>
          <TypeIn :id="`${id}-reason`" v-model="reason" :lines="2" maxlength="500" required />
          <ElButton native-type="submit">{{ t('choose.override') }}</ElButton>
        </form>
      </template>
    </section>
  </div>
</template>

<style scoped>
.why {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 10px 22px;
  padding: 8px 0 4px;
}
h4 {
  font: 650 var(--text) var(--head);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.why li {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 6px;
  padding: 5px 0;
}
form {
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
</style>
