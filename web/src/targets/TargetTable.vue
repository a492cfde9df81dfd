<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import type { Column } from '@/shared/ui/dataTable'

/** One target set: the greatest U by part of the envelope and zone; typed in place where the set is the firm's own. */
const props = defineProps<{ set: Schemas['TargetSetDetail']; mayEdit: boolean }>()
const emit = defineEmits<{ remove: [] }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()

// An edition may say nothing of an element in a zone: its place stays empty, so that no figure stands under another zone.
const zones = computed(() =>
  [...new Set(props.set.lines.flatMap((line) => line.cells.map((cell) => cell.zone)))].sort(),
)
const typed = useTyped(() => ({ kind: 'targets', id: props.set.id }))
interface Cell {
  text: string
  field?: string
  along?: string
}
interface Row {
  key: string
  name: string
  cells: Record<string, Cell>
}
const rows = computed((): Row[] => [
  ...props.set.lines.map(({ element, cells }) =>
    rowOf(element, cells, (cell) => ({ text: reader.print(cell.greatestU), field: cell.field })),
  ),
  ...(props.set.slabs.length
    ? [
        rowOf('slab', props.set.slabs, (slab) => ({
          text: reader.print(slab.leastR),
          along: t('targets.along', { along: reader.print(slab.along) }),
        })),
      ]
    : []),
])
const rowOf = <T extends { zone: string }>(element: string, cells: readonly T[], cellOf: (cell: T) => Cell): Row => ({
  key: element,
  name: t(`targets.element.${element}`),
  cells: Object.fromEntries(cells.map((cell) => [cell.zone, cellOf(cell)])),
})
const columns = computed((): Column<Row>[] => [
  { key: 'part', label: t('targets.part'), text: (row) => row.name },
  ...zones.value.map((zone) => ({ key: zone, label: t('targets.zone', { zone }), figure: true })),
])
</script>

<template>
  <FoldBox class="set" :title="set.edition" :opened="mayEdit">
    <template #title>
      <span class="named">
        <b>{{ set.edition }}</b>
        <span class="quiet small">{{ t(set.own ? 'targets.own' : 'targets.ships') }}</span>
      </span>
    </template>
    <p class="fault" role="alert">{{ typed.notice.value }}</p>
    <div v-if="mayEdit" class="head">
      <TypedField :typed="typed" field="name" :label="t('targets.name')" :kept="set.edition" />
      <ElButton link type="primary" @click="emit('remove')">{{ t('targets.remove') }}</ElButton>
    </div>
    <DataTable class="small targets" :label="set.edition" :columns="columns" :rows="rows" :by="(row) => row.key">
      <template v-for="zone in zones" :key="zone" #[zone]="{ row }">
        <TypedField
          v-if="mayEdit && row.cells[zone]?.field"
          hide-label
          :typed="typed"
          :field="row.cells[zone].field"
          :label="listed([row.name, t('targets.zone', { zone })])"
          :kept="row.cells[zone].text"
        />
        <template v-else>
          {{ row.cells[zone]?.text ?? '–' }}
          <span v-if="row.cells[zone]?.along" class="along">{{ row.cells[zone].along }}</span>
        </template>
      </template>
    </DataTable>
  </FoldBox>
</template>

<style scoped>
.set {
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
.head {
  display: flex;
  gap: 18px;
  align-items: end;
  max-width: 560px;
  margin-bottom: 10px;
}
.head :deep(.field) {
  flex: 1;
}
.named {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
}
.along {
  display: block;
}
.targets :deep(.fault) {
  white-space: normal;
  text-align: left;
}
.targets :deep(.el-input__inner) {
  text-align: right;
  min-width: 0;
  width: 100%;
  padding-inline: 4px;
}
.fault:empty {
  display: none;
}
</style>
