import type { EChartsCoreOption } from 'echarts/core'
import type { Schemas } from '@/shared/api/client'

type Job = Schemas['PastJobAnswer']

// Crews are told apart by the shape of their mark first.
const SYMBOLS = ['circle', 'diamond', 'triangle', 'rect']
const TONES = ['#a34a17', '#2f6f73', '#5b5270', '#8a6d1d']

/** Actual yield against predicted, over the substrate's temperature or through the year. */
export function ratioChart(
  jobs: readonly Job[],
  over: 'temperature' | 'season',
  units: 'us' | 'metric',
  t: (key: string) => string,
): EChartsCoreOption {
  const shown = jobs.filter((job) => job.ratioPct !== null && !job.leftOutBecause)
  const crews = [...new Set(shown.map((job) => job.crew))].sort()
  const at = (job: Job) =>
    over === 'temperature'
      ? units === 'us'
        ? job.substrateC * 1.8 + 32
        : job.substrateC
      : Number(job.finishedOn.slice(5, 7)) + Number(job.finishedOn.slice(8)) / 31
  return {
    grid: { left: 48, right: 12, top: 34, bottom: 34 },
    legend: { top: 0, left: 40, itemWidth: 12, itemHeight: 12 },
    tooltip: {
      formatter: ({ data }: { data: [number, number, string] }) => `${data[2]}: ${Math.round(data[1])} %`,
    },
    xAxis: {
      type: 'value',
      scale: true,
      min: over === 'season' ? 1 : undefined,
      max: over === 'season' ? 13 : undefined,
      interval: over === 'season' ? 1 : undefined,
      name: over === 'temperature' ? (units === 'us' ? '°F' : '°C') : '',
      axisLabel: {
        formatter: (value: number) => (over === 'season' ? (value < 13 ? t(`past.month.${value}`) : '') : `${value}`),
      },
      splitLine: { show: false },
    },
    yAxis: { type: 'value', scale: true, axisLabel: { formatter: '{value} %' } },
    series: crews.map((crew, i) => ({
      name: crew,
      type: 'scatter',
      symbol: SYMBOLS[i % SYMBOLS.length],
      symbolSize: 11,
      color: TONES[i % TONES.length],
      data: shown.filter((job) => job.crew === crew).map((job) => [at(job), job.ratioPct, job.name]),
    })),
  }
}
