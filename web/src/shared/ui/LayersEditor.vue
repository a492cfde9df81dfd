<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import type { Typed } from '@/shared/state/typed'
import PickOne from './PickOne.vue'
import TypeIn from '@/shared/typing/TypeIn.vue'

/** Layers on one side of the foam, outermost first. The list is one field: it is kept whole, and comes back whole. */
const props = defineProps<{
  typed: Typed
  field: 'outboard' | 'inboard'
  layers: readonly Schemas['LayerAnswer'][]
  locked: boolean
}>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()

interface Line {
  material: string
  thickness: string
}
const write = (lines: readonly Line[]) => lines.map((line) => `${line.material} | ${line.thickness}`).join('; ')
const kept = computed(() => props.layers.map((l) => ({ material: l.material, thickness: reader.print(l.thickness) })))
const lines = computed<Line[]>(() => {
  const draft = props.typed.drafts.value[props.field]
  if (draft === undefined) return kept.value
  return draft
    .split(';')
    .filter((one) => one.trim())
    .map((one) => {
      const [material = '', thickness = ''] = one.split('|').map((part) => part.trim())
      return { material, thickness }
    })
})
const materials = computed(() =>
  (choices.data.value?.materials ?? [])
    .map((value) => ({ value, text: t(`material.${value}`) }))
    .sort((a, b) => a.text.localeCompare(b.text)),
)

function change(at: number, part: keyof Line, text: string) {
  props.typed.type(props.field, write(lines.value.map((line, i) => (i === at ? { ...line, [part]: text } : line))))
}
const usual = (material: string) => choices.data.value?.usualMm[material]
/**
 * Another material comes in the thickness it is laid in: paint is no half inch of paint.
 * One that was typed for what stood here stays where it could be meant for both.
 */
function pick(at: number, material: string) {
  const [was, now] = [usual(lines.value[at]!.material), usual(material)]
  const apart = was && now ? Math.max(was, now) / Math.min(was, now) : 1
  put(
    lines.value.map((line, i) => (i === at ? { material, thickness: apart > 3 ? `${now} mm` : line.thickness } : line)),
  )
}
const keep = () => void props.typed.commit(props.field, write(kept.value))
const put = (next: Line[]) => void props.typed.put({ [props.field]: write(next) })

function move(at: number, by: number) {
  const next = [...lines.value]
  const [line] = next.splice(at, 1)
  next.splice(at + by, 0, line!)
  put(next)
}
</script>

<template>
  <fieldset :disabled="locked">
    <legend>{{ t(`survey.sheet.${field}`) }}</legend>
    <ol>
      <li v-for="(line, i) in lines" :key="i">
        <PickOne
          :model-value="line.material"
          :label="t('survey.sheet.layerMaterial', { n: i + 1 })"
          :options="materials"
          :disabled="locked"
          @update:model-value="pick(i, $event ?? '')"
        />
        <TypeIn
          :model-value="line.thickness"
          kind="length"
          :disabled="locked"
          :aria-label="t('survey.sheet.layerThickness', { n: i + 1 })"
          :aria-invalid="!!typed.faults.value[field]"
          @update:model-value="change(i, 'thickness', $event)"
          @blur="keep"
          @keydown.enter.prevent="keep"
        />
        <span class="acts no-print">
          <ElButton v-if="i > 0" link :aria-label="t('survey.sheet.layerUp', { n: i + 1 })" @click="move(i, -1)">
            ↑
          </ElButton>
          <ElButton
            link
            :aria-label="t('survey.sheet.layerOff', { n: i + 1 })"
            @click="put(lines.filter((_, n) => n !== i))"
          >
            ×
          </ElButton>
        </span>
      </li>
    </ol>
    <p v-if="lines.length === 0" class="small quiet">{{ t('survey.sheet.noLayer') }}</p>
    <em class="fault">{{ typed.faults.value[field] }}</em>
    <ElButton
      v-if="!locked"
      link
      type="primary"
      class="no-print"
      @click="put([...lines, { material: 'gypsum-board', thickness: `${usual('gypsum-board') ?? 12.7} mm` }])"
    >
      {{ t('survey.sheet.addLayer') }}
    </ElButton>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  font-size: var(--text-s);
  color: var(--ink-2);
  padding: 0;
  margin-bottom: 4px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 118px auto;
  gap: 6px;
}
.acts {
  display: flex;
}
.acts .el-button {
  justify-content: center;
  min-width: 44px;
  min-height: 44px;
  font-size: 1.1rem;
}
.fault {
  font-style: normal;
}
</style>
