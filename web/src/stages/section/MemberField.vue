<script setup lang="ts">
import FoldBox from '@/shared/ui/FoldBox.vue'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/**
 * Temperatures in two dimensions around a metal member or at the edge of a slab, in the product's own tones;
 * what lies under the room's dew point is hatched.
 */
const props = defineProps<{ job: string; question: Schemas['SectionQuestion']; thicknessMm: number }>()
const { t } = useI18n()
const reader = useReader()
const open = ref(false)
const cell = ref<Schemas['MemberCellAnswer'] | null>(null)
const hatch = useId()

// Asked only while it is open, and again when the foam has come to rest.
let settle: ReturnType<typeof setTimeout> | undefined
watch(
  () => [open.value, props.thicknessMm, props.question] as const,
  ([isOpen]) => {
    clearTimeout(settle)
    if (!isOpen) return
    settle = setTimeout(async () => {
      const body = { ...props.question, thicknessMm: props.thicknessMm || props.question.thicknessMm }
      cell.value =
        (await ask(api.POST('/api/compute/member', { params: { query: { job: props.job } }, body })).catch(
          () => null,
        )) ?? null
    }, 250)
  },
)

const printed = computed(() =>
  Object.fromEntries(Object.entries(cell.value?.figures ?? {}).map(([name, figure]) => [name, reader.print(figure)])),
)

const W = 640
const drawn = computed(() => {
  const one = cell.value
  if (!one) return null
  const [x, y] = [one.acrossMm, one.throughMm]
  const width = Math.min(x.at(-1)!, y.at(-1)! * 2.2)
  const scale = W / width
  const height = y.at(-1)! * scale
  const rects: { x: number; y: number; w: number; h: number; tone: string; damp: boolean }[] = []
  for (let j = 0; j + 1 < y.length; j++)
    for (let i = 0; i + 1 < x.length && x[i]! < width; i++) {
      const temp = one.tempC[j * (x.length - 1) + i]
      if (temp === null || temp === undefined) continue
      const share = (temp - one.outdoorC) / (one.indoorC - one.outdoorC || 1)
      rects.push({
        x: x[i]! * scale,
        y: height - y[j + 1]! * scale,
        w: (Math.min(x[i + 1]!, width) - x[i]!) * scale + 0.4,
        h: (y[j + 1]! - y[j]!) * scale + 0.4,
        tone: `color-mix(in oklab, var(--copper) ${Math.round(Math.min(1, Math.max(0, share)) * 100)}%, var(--ink))`,
        damp: one.kind === 'member' && temp < one.dewC,
      })
    }
  return { height, rects }
})
</script>

<template>
  <FoldBox
    class="small"
    :title="t(`section.cell.open.${question.kind === 'underSlab' ? 'slabEdge' : 'member'}`)"
    @toggle="open = $event"
  >
    <template v-if="cell && drawn">
      <p class="quiet">{{ t(`section.cell.lead.${cell.kind}`) }}</p>
      <svg
        :viewBox="`0 0 ${W} ${drawn.height}`"
        role="img"
        :aria-label="
          t('section.cell.aria', {
            cold: reader.print(cell.figures.outdoor),
            warm: reader.print(cell.figures.indoor),
          })
        "
      >
        <defs>
          <pattern :id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
            <path d="M0 3.5h7" stroke="var(--paper)" stroke-opacity=".4" stroke-width="1" />
          </pattern>
        </defs>
        <g v-for="(one, i) in drawn.rects" :key="i">
          <rect :x="one.x" :y="one.y" :width="one.w" :height="one.h" :style="{ fill: one.tone }" />
          <rect v-if="one.damp" :x="one.x" :y="one.y" :width="one.w" :height="one.h" :fill="`url(#${hatch})`" />
        </g>
      </svg>
      <p>{{ t(`section.cell.told.${cell.kind}`, printed) }}</p>
    </template>
  </FoldBox>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 700px;
  margin: 6px 0;
  background: var(--sheet);
}
</style>
