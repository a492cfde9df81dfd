<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { uploadOnce } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { nowMs } from '@/shared/state/clock'
import { useTimes } from '@/shared/state/times'
import { useLogs, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import FileButton from '@/shared/ui/FileButton.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'

/** Data-logger series of the surface: temperature, dew point and humidity over time. */
const props = defineProps<{ job: string; surface: string; locked: boolean }>()
type Log = Schemas['LogAnswer']
const ChartBox = defineAsyncComponent(() => import('@/shared/ui/ChartBox.vue'))
const MOST_MEGABYTES = 20
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const times = useTimes(() => props.job)
const logs = useLogs(() => props.job)
const edits = useSurveyEdits(() => props.job)
const { general } = useProblems()
const said = ref('')
const outdoors = ref(false)

const mine = computed(
  () => logs.data.value?.filter((log) => log.surfaceId === props.surface && !off.gone(log.id)) ?? [],
)

function option(log: Log) {
  const us = reader.units === 'us'
  const line = (name: string, of: (p: Schemas['LogPoint']) => number, color: string, axis = 0, dashed = false) => ({
    name,
    type: 'line',
    showSymbol: false,
    yAxisIndex: axis,
    color,
    lineStyle: { width: 1.6, type: dashed ? 'dashed' : 'solid' },
    data: log.points.map((p) => [times.wallMs(p.atUnixS * 1000), of(p)]),
  })
  return {
    grid: { left: 46, right: 46, top: 34, bottom: 28 },
    legend: { top: 0, textStyle: { color: 'inherit' } },
    tooltip: { trigger: 'axis' },
    useUTC: true,
    xAxis: { type: 'time' },
    yAxis: [
      { type: 'value', name: us ? '°F' : '°C', scale: true },
      { type: 'value', name: '% RH', min: 0, max: 100, splitLine: { show: false } },
    ],
    series: [
      line(t('survey.logs.air'), (p) => p.temp[reader.units], '#a34a17'),
      line(t('survey.logs.dew'), (p) => p.dew[reader.units], '#7d1d52', 0, true),
      line(t('survey.logs.rh'), (p) => p.rhPct, '#0d6b60', 1),
    ],
  }
}

async function add([file]: File[]) {
  if (!file) return
  try {
    const query = new URLSearchParams({
      surface: props.surface,
      name: file.name.replace(/\.\w+$/, ''),
      outdoors: String(outdoors.value),
      offsetMinutes: String(-new Date(nowMs()).getTimezoneOffset()),
    })
    const added = await edits.then(
      uploadOnce<Schemas['LogAdded']>(`/api/jobs/${props.job}/logs?${query}`, file, MOST_MEGABYTES),
    )
    await logs.refetch()
    outdoors.value = false
    said.value = added.skipped.length ? t('survey.logs.skipped', { lines: listed(added.skipped.map(String)) }) : ''
  } catch (cause) {
    said.value = general(cause)
  }
}

const off = useTakeOff((id) => edits.did('logs', ask(api.DELETE('/api/logs/{id}', { params: { path: { id } } }))))
</script>

<template>
  <section>
    <h2>{{ t('survey.logs.title') }}</h2>
    <article v-for="log in mine" :key="log.id">
      <h3>{{ log.name }}</h3>
      <p v-if="log.outdoors" class="small quiet">{{ t('survey.logs.isOutdoors') }}</p>
      <ChartBox
        :option="option(log)"
        :label="t('survey.logs.chart', { name: log.name, count: log.count })"
        :height="230"
      />
      <p class="small">
        {{
          t('survey.logs.extremes', {
            coldest: reader.print(log.coldest),
            warmest: reader.print(log.warmest),
            driest: reader.print(log.driest),
            dampest: reader.print(log.dampest),
            dew: reader.print(log.highestDew),
          })
        }}
        <ElButton v-if="!locked" link type="primary" class="no-print" @click="off.takeOff(log.id, log.name)">
          {{ t('survey.logs.remove') }}
        </ElButton>
      </p>
    </article>
    <TakenOff :off="off" />
    <p v-if="mine.length === 0" class="quiet">{{ t('survey.logs.none') }}</p>
    <ElCheckbox v-if="!locked" v-model="outdoors" class="no-print outdoors">{{ t('survey.logs.outdoors') }}</ElCheckbox>
    <FileButton v-if="!locked" class="no-print" accept=".csv,.txt,text/csv" @files="add">{{
      t('survey.logs.add')
    }}</FileButton>
    <p class="fault" role="alert">{{ said }}</p>
  </section>
</template>

<style scoped>
.outdoors {
  min-height: 44px;
}
article {
  margin-bottom: 14px;
}
</style>
