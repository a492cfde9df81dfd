<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useSurfaces } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import TypeOnce from '@/shared/typing/TypeOnce.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import type { Column } from '@/shared/ui/dataTable'
import ThermalDots from './ThermalDots.vue'

/** A thermal picture: its dots in our own scale, spots read off, and the conditions that make it comparable later. */
const props = defineProps<{ job: string; picture: Schemas['ThermalAnswer']; locked: boolean }>()
const { t } = useI18n()
const reader = useReader()
const surfaces = useSurfaces(() => props.job)

const typed = useTyped(() => ({ kind: 'thermal', id: props.picture.id, within: props.job }))
defineEmits<{ off: [] }>()
const places = computed(() => [
  { value: '', text: t('survey.thermal.noSurface') },
  ...(surfaces.data.value ?? []).map((s) => ({ value: s.id, text: s.name })),
])
const phases = computed(() =>
  (['before', 'after'] as const).map((value) => ({ value, text: t(`survey.fan.${value}`) })),
)

const spotsText = (spots: readonly { row: number; column: number; label: string }[]) =>
  spots.map((s) => `${s.row},${s.column},${s.label}`).join(';')

const readOff = (row: number, column: number) =>
  void typed.put({ spots: spotsText([...props.picture.spots, { row, column, label: '' }]) })

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
    <div class="body">
      <ThermalDots :picture="picture" :locked="locked" @read="readOff" />
      <div class="told">
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
      </div>
    </div>
  </article>
</template>

<style scoped>
article {
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  padding: 14px 16px;
  container-type: inline-size;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px 30px;
}
.told {
  display: grid;
  gap: 10px;
  align-content: start;
}
/* Alone on the page, a picture leaves room beside it. */
@container (width > 800px) {
  .body {
    grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  }
}
header {
  display: flex;
  justify-content: space-between;
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
