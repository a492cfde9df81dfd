<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useFindingText } from '@/shared/figures/findings'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useTimes } from '@/shared/state/times'
import { useTyped } from '@/shared/state/typed'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'

/** One fan test: its points, the line through them, and what it says of the building. */
const props = defineProps<{ job: string; test: Schemas['FanTestAnswer']; locked: boolean }>()
const ChartBox = defineAsyncComponent(() => import('@/shared/ui/ChartBox.vue'))
const { t } = useI18n()
const { listed } = useWriting()
const times = useTimes(() => props.job)
const reader = useReader()
const text = useFindingText()
const { sentence } = useProblems()

const typed = useTyped(() => ({ kind: 'fan', id: props.test.id, within: props.job }))
defineEmits<{ off: [] }>()
const phases = computed(() =>
  (['before', 'after'] as const).map((value) => ({ value, text: t(`survey.fan.${value}`) })),
)
const ways = computed(() =>
  (['depressurise', 'pressurise'] as const).map((value) => ({ value, text: t(`survey.fan.${value}`) })),
)

// Logarithmic both ways: the law of the leaks is a straight line.
const option = computed(() => {
  const flow = (p: Schemas['FanPointAnswer']) => p.leak[reader.units]
  const flows = props.test.points.map(flow)
  return {
    grid: { left: 62, right: 18, top: 26, bottom: 42 },
    xAxis: { type: 'log', name: 'Pa', nameLocation: 'middle', nameGap: 26, min: 10, max: 100 },
    yAxis: {
      type: 'log',
      name: reader.units === 'us' ? 'cfm' : 'm³/h',
      min: Math.min(...flows) * 0.8,
      max: Math.max(...flows) * 1.25,
      axisLabel: { showMinLabel: false, showMaxLabel: false },
      minorTick: { show: true },
    },
    series: [
      {
        type: 'line',
        showSymbol: false,
        color: '#5b5270',
        data: [...props.test.points]
          .sort((a, b) => a.inducedPa - b.inducedPa)
          .map((p) => [p.inducedPa, p.fitted[reader.units]]),
      },
      {
        type: 'scatter',
        symbolSize: 10,
        labelLayout: { hideOverlap: true },
        color: '#a34a17',
        label: {
          show: true,
          position: 'right',
          fontSize: 11,
          formatter: ({ dataIndex }: { dataIndex: number }) => reader.print(props.test.points[dataIndex]!.flow),
        },
        data: props.test.points.map((p) => [p.inducedPa, flow(p)]),
      },
    ],
  }
})
const interval = (b: Schemas['BoundedAnswer'] | null | undefined) =>
  b?.low ? `${reader.print(b.low)} … ${reader.print(b.high)}` : t('survey.fan.noInterval')
const columns = computed((): Column<Schemas['FanPointAnswer']>[] => [
  { key: 'pressure', label: t('survey.fan.pressure'), text: (point) => reader.print(point.pressure) },
  { key: 'flow', label: t('survey.fan.flow'), text: (point) => reader.print(point.flow), figure: true },
])
</script>

<template>
  <article>
    <header>
      <h3>{{ listed([t(`survey.fan.${test.phase}`), times.day(test.takenAt)]) }}</h3>
      <span class="small quiet">{{ [test.takenBy, test.words].filter(Boolean).join(' · ') }}</span>
      <ElButton
        v-if="!locked"
        link
        type="primary"
        class="no-print"
        :aria-label="t('survey.fan.remove')"
        @click="$emit('off')"
      >
        ×
      </ElButton>
    </header>
    <div class="body">
      <div>
        <ChartBox
          v-if="test.result && !test.result.isSinglePoint"
          :option="option"
          :label="t('survey.fan.chart', { count: test.points.length, n: test.result.exponent.toFixed(3) })"
          :height="230"
        />
        <DataTable
          class="small"
          :label="t('survey.fan.points')"
          :columns="columns"
          :rows="test.points"
          :by="(point) => test.points.indexOf(point)"
        />
      </div>
      <div>
        <p v-if="test.fault" class="fault">{{ sentence(test.fault) }}</p>
        <dl v-if="test.result">
          <div>
            <dt>{{ t('survey.fan.at50') }}</dt>
            <dd><FigureText :figure="test.result.flowAt50.value" :working="test.result.working" /></dd>
            <dd class="small quiet">{{ interval(test.result.flowAt50) }}</dd>
          </div>
          <div v-if="test.result.airChangesAt50">
            <dt>{{ t('survey.fan.changes') }}</dt>
            <dd>{{ reader.print(test.result.airChangesAt50.value) }}</dd>
            <dd class="small quiet">{{ interval(test.result.airChangesAt50) }}</dd>
          </div>
          <div>
            <dt>{{ t('survey.fan.area') }}</dt>
            <dd>{{ reader.print(test.result.leakageArea) }}</dd>
            <dd class="small quiet">{{ t('survey.fan.areaAt') }}</dd>
          </div>
        </dl>
        <p v-if="test.result && !test.result.isSinglePoint" class="small quiet">{{ t('survey.fan.errors') }}</p>
        <ul v-if="test.result">
          <li v-for="finding in test.result.findings" :key="finding.rule">
            <VerdictMark :verdict="finding.verdict" :size="18" />
            <span
              ><b>{{ text.title(finding) }}</b> {{ text.detail(finding) }}</span
            >
          </li>
        </ul>
        <p class="small quiet no-print">{{ t('survey.fan.zeroSign') }}</p>
        <div class="fields no-print">
          <TypedField
            :typed="typed"
            field="phase"
            :label="t('survey.fan.when')"
            :kept="test.phase"
            :options="phases"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="direction"
            :label="t('survey.fan.way')"
            :kept="test.direction"
            :options="ways"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="volume"
            :label="t('survey.fan.field.volume')"
            :kept="reader.print(test.volume)"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="indoor"
            :label="t('survey.fan.field.indoor')"
            :kept="reader.print(test.indoor)"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="outdoor"
            :label="t('survey.fan.field.outdoor')"
            :kept="reader.print(test.outdoor)"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="zeroBefore"
            :label="t('survey.fan.field.zeroBefore')"
            :kept="reader.print(test.zeroBefore)"
            :disabled="locked"
          />
          <TypedField
            :typed="typed"
            field="zeroAfter"
            :label="t('survey.fan.field.zeroAfter')"
            :kept="reader.print(test.zeroAfter)"
            :disabled="locked"
          />
          <TypedField
            class="points"
            :typed="typed"
            field="points"
            :label="t('survey.fan.points')"
            :kept="test.pointsText[reader.units]"
            :lines="4"
            :disabled="locked"
          />
        </div>
      </div>
    </div>
    <p class="fault" role="alert">{{ typed.notice.value }}</p>
  </article>
</template>

<style scoped>
article {
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  padding: 14px 16px;
  margin: 12px 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: baseline;
}
header .el-button {
  margin-left: auto;
}
.body {
  display: grid;
  grid-template-columns: minmax(280px, 5fr) minmax(0, 6fr);
  gap: 26px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 30px;
  margin: 0;
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
ul {
  list-style: none;
  padding: 0;
  margin: 14px 0;
}
li {
  display: flex;
  gap: 8px;
  padding: 3px 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
}
.points {
  grid-column: span 2;
}
@media (max-width: 800px) {
  .body {
    grid-template-columns: 1fr;
  }
}
</style>
