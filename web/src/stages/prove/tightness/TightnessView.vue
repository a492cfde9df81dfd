<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTimes } from '@/shared/state/times'
import DataTable from '@/shared/ui/DataTable.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import type { Column } from '@/shared/ui/dataTable'
import ProveFrame from '../ProveFrame.vue'
import { useProof } from '../useProof'

/** Is it tight enough? The fan test after the work against the one before, and against the edition. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const times = useTimes(() => props.job)
const proof = useProof(
  () => props.job,
  () => props.surface,
)
const told = useQuery({
  queryKey: ['job', () => props.job, 'tightness'],
  queryFn: () => ask(api.GET('/api/jobs/{id}/tightness', { params: { path: { id: props.job } } })),
})
const tight = computed(() => told.data.value)

type Line = { phase: 'before' | 'after'; test: Schemas['CountedFanTest'] | null }
const lines = computed((): Line[] => [
  { phase: 'before', test: tight.value?.before ?? null },
  { phase: 'after', test: tight.value?.after ?? null },
])
const marks = (test: Schemas['CountedFanTest']) =>
  writing.listed(
    [
      test.isSinglePoint ? t('prove.tightness.single') : '',
      !test.isSinglePoint && !test.isValid ? t('prove.tightness.invalid') : '',
    ].filter(Boolean),
  )
const bounded = (one: Schemas['BoundedAnswer'] | null | undefined) =>
  one ? writing.noted(reader.print(one.value), interval(one)) : ''
const interval = (one: Schemas['BoundedAnswer']) =>
  one.low && one.high
    ? t('prove.tightness.interval', { low: reader.print(one.low), high: reader.print(one.high) })
    : t('prove.tightness.noInterval')
const columns = computed((): Column<Line>[] => [
  { key: 'phase', label: t('prove.tightness.test'), text: ({ phase }) => t(`prove.tightness.${phase}`) },
  {
    key: 'flow',
    label: t('prove.tightness.flow'),
    text: ({ test }) => (test ? bounded(test.flowAt50) : t('prove.tightness.none')),
    figure: true,
  },
  {
    key: 'changes',
    label: t('prove.tightness.changes'),
    text: ({ test }) => bounded(test?.airChangesAt50),
    figure: true,
  },
  {
    key: 'by',
    label: t('prove.tightness.when'),
    text: ({ test }) =>
      test
        ? writing.listed(
            [t('prove.tightness.by', { when: times.day(test.takenAt), by: test.takenBy }), marks(test)].filter(Boolean),
          )
        : '',
    long: true,
  },
])
</script>

<template>
  <ProveFrame :job="job" :surface="surface" route="proveTightness" :proof="proof" :findings="tight?.findings">
    <ProblemNote v-if="told.error.value && !tight" :problem="told.error.value" @retry="told.refetch()" />
    <ElSkeleton v-else-if="!tight" :rows="5" animated />
    <template v-else>
      <h2>{{ t('prove.tightness.title') }}</h2>
      <DataTable
        :label="t('prove.tightness.title')"
        :columns="columns"
        :rows="lines"
        :by="({ phase }) => phase"
        roomy
      />
      <dl>
        <div v-if="tight.reduction">
          <dt>{{ t('prove.tightness.reduction') }}</dt>
          <dd>{{ reader.print(tight.reduction.value) }}</dd>
          <dd class="small quiet">{{ interval(tight.reduction) }}</dd>
        </div>
        <div v-if="tight.target">
          <dt>{{ t('prove.tightness.target') }}</dt>
          <dd>{{ reader.print(tight.target) }}</dd>
          <dd class="small quiet">{{ tight.edition }}</dd>
        </div>
      </dl>
      <RouterLink :to="{ name: 'baseline', params: { job } }" class="to">{{ t('prove.tightness.toTests') }}</RouterLink>
    </template>
  </ProveFrame>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 34px;
  margin: 14px 0;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font: 650 1.25rem var(--head);
}
dd.small {
  font: 400 var(--text-s) var(--body);
}
.to {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
