<script setup lang="ts">
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useSurfaces } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import TypedField from '@/shared/ui/TypedField.vue'
import { gradient, paint } from './thermal'
import TypeOnce from '@/shared/typing/TypeOnce.vue'

/** A thermal picture: its dots in our own scale, spots read off, and the conditions that make it comparable later. */
const props = defineProps<{ job: string; picture: Schemas['ThermalAnswer']; locked: boolean }>()
const { t } = useI18n()
const reader = useReader()
const surfaces = useSurfaces(() => props.job)
const canvas = ref<HTMLCanvasElement>()

const path = () => ({ params: { path: { id: props.picture.id } } })
const dots = useQuery({
  queryKey: ['dots', props.picture.id],
  queryFn: () => ask(api.GET('/api/thermal/{id}/dots', path())),
  staleTime: Infinity,
})
const typed = useTyped(() => ({ kind: 'thermal', id: props.picture.id, within: props.job }))
defineEmits<{ off: [] }>()
const places = computed(() => [
  { value: '', text: t('survey.thermal.noSurface') },
  ...(surfaces.data.value ?? []).map((s) => ({ value: s.id, text: s.name })),
])
const phases = computed(() =>
  (['before', 'after'] as const).map((value) => ({ value, text: t(`survey.fan.${value}`) })),
)

watch(
  () => dots.data.value,
  async (grid) => {
    await nextTick()
    const surface = canvas.value?.getContext('2d')
    if (!grid || !surface) return
    surface.putImageData(new ImageData(paint(grid.tempsC), grid.columns, grid.rows), 0, 0)
  },
  { immediate: true },
)

const spotsText = (spots: readonly { row: number; column: number; label: string }[]) =>
  spots.map((s) => `${s.row},${s.column},${s.label}`).join(';')

function readOff(event: MouseEvent) {
  if (props.locked) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const share = (at: number, from: number, size: number, count: number) =>
    Math.min(count - 1, Math.floor(((at - from) / size) * count))
  const spot = {
    row: share(event.clientY, box.top, box.height, props.picture.rows),
    column: share(event.clientX, box.left, box.width, props.picture.columns),
    label: '',
  }
  void typed.put({ spots: spotsText([...props.picture.spots, spot]) })
}

function name(at: number, label: string) {
  void typed.put({
    spots: spotsText(props.picture.spots.map((s, i) => (i === at ? { ...s, label: label.replace(/[;,]/g, ' ') } : s))),
  })
}
const forget = (at: number) => void typed.put({ spots: spotsText(props.picture.spots.filter((_, i) => i !== at)) })
const columns = computed((): Column<Schemas['ThermalAnswer']['spots'][number]>[] => [
  { key: 'spot', label: t('survey.thermal.spot') },
  { key: 'temp', label: t('survey.thermal.temp'), text: (spot) => reader.print(spot.temp) },
  { key: 'factor', label: t('survey.thermal.factor'), text: (spot) => reader.print(spot.factor) || '–' },
  { key: 'off', label: '', onScreenOnly: true },
])
</script>

<template>
  <article>
    <header>
      <h3>{{ picture.name }}</h3>
      <ElButton
        v-if="!locked"
        link
        type="primary"
        class="no-print"
        :aria-label="t('survey.thermal.remove', { name: picture.name })"
        @click="$emit('off')"
      >
        ×
      </ElButton>
    </header>
    <div v-if="dots.data.value" class="picture">
      <div
        class="dots"
        :style="{ aspectRatio: `${dots.data.value.columns} / ${dots.data.value.rows}` }"
        @click="readOff"
      >
        <canvas
          ref="canvas"
          :width="dots.data.value.columns"
          :height="dots.data.value.rows"
          role="img"
          :aria-label="
            t('survey.thermal.label', {
              coldest: reader.print(picture.coldest),
              warmest: reader.print(picture.warmest),
            })
          "
        />
        <i
          v-for="(spot, i) in picture.spots"
          :key="i"
          :style="{
            left: `${((spot.column + 0.5) / picture.columns) * 100}%`,
            top: `${((spot.row + 0.5) / picture.rows) * 100}%`,
          }"
          >{{ i + 1 }}</i
        >
      </div>
      <div class="scale" :style="{ background: gradient }" aria-hidden="true" />
      <ol class="marks small" aria-hidden="true">
        <li v-for="(mark, i) in [...dots.data.value.scale].reverse()" :key="i">{{ reader.print(mark) }}</li>
      </ol>
    </div>
    <ElSkeleton v-else :rows="4" animated />
    <DataTable
      v-if="picture.spots.length"
      :label="t('survey.thermal.spot')"
      :columns="columns"
      :rows="picture.spots"
      :by="(spot) => picture.spots.indexOf(spot)"
    >
      <template #spot="{ row: spot, index }">
        <div class="spot">
          {{ index + 1 }}
          <TypeOnce
            :text="spot.label"
            :disabled="locked"
            :aria-label="t('survey.thermal.spotName', { n: index + 1 })"
            @change="name(index, $event)"
          />
        </div>
      </template>
      <template #off="{ index }">
        <ElButton
          v-if="!locked"
          link
          type="primary"
          :aria-label="t('survey.thermal.spotOff', { n: index + 1 })"
          @click="forget(index)"
        >
          ×
        </ElButton>
      </template>
    </DataTable>
    <p v-if="!locked" class="small quiet no-print">{{ t('survey.thermal.tap') }}</p>
    <div class="fields">
      <TypedField
        :typed="typed"
        field="name"
        :label="t('survey.thermal.name')"
        :kept="picture.name"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="surface"
        :label="t('board.surface')"
        :kept="picture.surfaceId ?? ''"
        :options="places"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="phase"
        :label="t('survey.fan.when')"
        :kept="picture.phase"
        :options="phases"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="indoor"
        :label="t('survey.fan.field.indoor')"
        :kept="reader.print(picture.indoor)"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="outdoor"
        :label="t('survey.fan.field.outdoor')"
        :kept="reader.print(picture.outdoor)"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="conditions"
        :label="t('survey.thermal.conditions')"
        :kept="picture.conditions"
        :hint="t('survey.thermal.conditionsHint')"
        :disabled="locked"
        class="wide"
      />
    </div>
    <p class="fault" role="alert">{{ typed.notice.value || typed.faults.value.spots }}</p>
  </article>
</template>

<style scoped>
article {
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  padding: 14px 16px;
  display: grid;
  gap: 10px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
}
.picture {
  display: grid;
  grid-template-columns: 1fr 14px auto;
  gap: 8px;
}
.dots {
  position: relative;
  cursor: crosshair;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
  border-radius: 3px;
}
.dots i {
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -11px 0 0 -11px;
  border: 2px solid #fff;
  outline: 1px solid #221b33;
  border-radius: 50%;
  font: 650 12px/18px var(--body);
  text-align: center;
  color: #fff;
  background: rgb(34 27 51 / 60%);
}
.scale {
  border-radius: 3px;
}
.marks {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  white-space: nowrap;
}
.spot :deep(.el-input) {
  min-width: 56px;
}
.spot {
  display: flex;
  gap: 8px;
  align-items: center;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
