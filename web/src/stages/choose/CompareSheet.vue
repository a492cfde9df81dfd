<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { textureOf } from '@/shared/drawing/textures'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useFindingText } from '@/shared/figures/findings'
import { usePapers } from '@/shared/state/papers'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'
import type { Candidate } from './useChooseDesk'

/** Two systems in one drawing, to one scale, with their figures in plain words: one page for whoever pays. */
const props = defineProps<{ pair: readonly Candidate[]; name: string; job: string; jobName: string; surface: string }>()
defineEmits<{ close: [] }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const words = useCandidateText()
const text = useFindingText()

const W = 640
const H = 92
const deepest = computed(() =>
  Math.max(...props.pair.map((one) => one.sketch.reduce((sum, l) => sum + l.thicknessMm, 0))),
)
// A skin of half a millimetre would vanish at this scale: it is drawn a hair wide.
const drawn = computed(() =>
  props.pair.map((one) => {
    let x = 0
    return one.sketch.map((layer) => {
      const width = Math.max(2.5, (layer.thicknessMm / deepest.value) * (W - 20))
      const slab = { key: layer.key, x, width }
      x += width
      return slab
    })
  }),
)

interface Line {
  key: string
  cells: string[]
}
const lines = computed<Line[]>(() => {
  const all = (key: string, of: (c: Candidate) => string) => ({ key, cells: props.pair.map(of) })
  const rank = (c: Candidate, part: string) => {
    const score = c.scores.find((one) => one.part === part)
    return score ? reader.print(score.measured) : '–'
  }
  return [
    all('warm', (c) =>
      t('choose.plainU', {
        u: reader.print(c.u.figure),
        meets: c.meetsTarget ? t('choose.meets') : t('choose.fallsShort'),
      }),
    ),
    all('damp', (c) =>
      c.dampest
        ? t('choose.plainRh', { rh: reader.print(c.dampest.humidity.figure), place: text.place(c.dampest.place) })
        : t('choose.plainNone'),
    ),
    ...(session.may('price')
      ? [all('money', (c) => (c.cost ? reader.print(c.cost.figure) : t('choose.noPrice')))]
      : []),
    all('time', (c) => reader.print(c.hours)),
    all('quiet', (c) => t('choose.plainQuiet', { depth: rank(c, 'quiet') })),
    all('knocks', (c) => t('choose.plainKnocks', { density: rank(c, 'toughness') })),
    all('repair', (c) => t('choose.plainRepair', { weight: rank(c, 'repair') })),
    all(
      'rules',
      (c) =>
        writing.listed(
          c.findings.filter((f) => f.verdict !== 'clear').map((f) => text.title(f)),
          'apart',
        ) || t('choose.noRules'),
    ),
  ]
})
const print = () => window.print()

const papers = usePapers(() => props.job)
/** The same page as a file. The server makes it anew from what it knows of the surface. */
const savePdf = () =>
  papers.make({ kind: 'comparison', surfaceId: props.surface, systems: props.pair.map((c) => c.id) }, 'pdf')
const columns = computed((): Column<Line>[] => [
  { key: 'what', label: '', text: (line) => t(`choose.plain.${line.key}`) },
  ...props.pair.map((one, i) => ({
    key: one.id,
    label: words.kind(one.kind),
    text: (line: Line) => line.cells[i]!,
  })),
])
</script>

<template>
  <section class="sheet" aria-labelledby="compare-title">
    <header>
      <h2 id="compare-title">{{ t('choose.compareTitle') }}</h2>
      <span class="no-print acts">
        <ElButton link type="primary" :disabled="pair.length < 2" @click="print">{{ t('choose.print') }}</ElButton>
        <ElButton
          link
          type="primary"
          :disabled="pair.length < 2 || papers.busy.value || papers.waits.value"
          @click="savePdf"
        >
          {{ t('choose.pdf') }}
        </ElButton>
        <ElButton link type="primary" @click="$emit('close')">{{ t('choose.compareClose') }}</ElButton>
      </span>
    </header>
    <p v-if="papers.fault.value" class="fault" role="alert">{{ papers.fault.value }}</p>
    <p class="small quiet">{{ t('choose.compareLead', { name, job: jobName }) }}</p>
    <svg
      :viewBox="`0 0 ${W} ${pair.length * (H + 26)}`"
      role="img"
      :aria-label="writing.listed(pair.map((c) => words.kind(c.kind)))"
    >
      <g v-for="(slabs, i) in drawn" :key="i" :transform="`translate(0 ${i * (H + 26)})`">
        <text x="0" y="14">
          {{ writing.labelled(words.kind(pair[i]!.kind), words.layers(pair[i]!.layers, pair[i]!.boards)) }}
        </text>
        <g transform="translate(0 20)">
          <rect
            v-for="(slab, k) in slabs"
            :key="k"
            :x="slab.x"
            y="0"
            :width="slab.width"
            :height="H - 16"
            :fill="textureOf(slab.key)"
            stroke="var(--field-line)"
            stroke-width=".8"
          />
        </g>
      </g>
    </svg>
    <p v-if="pair.length < 2" class="quiet">{{ t('choose.compareFirst') }}</p>
    <DataTable v-else :label="t('choose.compare')" :columns="columns" :rows="lines" :by="(line) => line.key" />
    <p class="small quiet">{{ t('choose.plainTail') }}</p>
  </section>
</template>

<style scoped>
.sheet {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  padding: 12px 16px;
  margin: 12px 0;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.acts {
  display: flex;
  gap: 16px;
}
svg {
  display: block;
  width: 100%;
  max-width: 760px;
  margin: 8px 0;
}
text {
  font: 600 13px var(--body);
  fill: var(--ink);
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
  }
}
</style>
