<script setup lang="ts" generic="Row extends object">
import { useResizeObserver } from '@vueuse/core'
import { computed, ref, useTemplateRef, type ComponentPublicInstance } from 'vue'
import { useNarrow, useUpright } from '../state/narrow'
import { useRowWindow } from '../state/rowWindow'
import { FITS, Gap, Line, vHeadsLine, type Column } from './dataTable'

/** Lines under named columns, the first of which says what a line is about. Where a table is wider than the screen each line becomes a card. */
const props = defineProps<{
  label: string
  columns: readonly Column<Row>[]
  rows: readonly Row[]
  /** What tells one line from another. */
  by: (row: Row) => string | number
  rowClass?: (row: Row) => string
  /** Figures with long units are typed in it: held upright, a tablet has no room for them side by side either. */
  roomy?: boolean
  /** What it comes to, under the columns of these keys. */
  foot?: Record<string, string>
}>()
defineSlots<Record<string, (line: { row: Row; index: number }) => unknown>>()
/** What a line is taken to be high until one is drawn. */
const LINE = 40
const isNarrow = useNarrow()
const isUpright = useUpright()
const room = computed(() => (isNarrow.value ? FITS.phone : isUpright.value ? FITS.tablet : Infinity))
const asCards = computed(() => props.columns.length > room.value || (props.roomy && isUpright.value))

// Of a long table only the lines on the screen are drawn. How high a line is, the first ones tell.
const cards = useTemplateRef('cards')
const table = useTemplateRef<ComponentPublicInstance>('table')
const root = computed(() => table.value?.$el as HTMLElement | undefined)
const body = computed(() => cards.value ?? root.value?.querySelector('tbody'))
const high = ref(LINE)
const lines = useRowWindow(() => props.rows.length, body, high)
const drawn = computed(() =>
  props.rows.slice(lines.from.value, lines.to.value).map((row, at) => new Line(row, lines.from.value + at)),
)
const shown = computed((): (Line<Row> | Gap)[] => [
  ...(lines.before.value ? [new Gap('above', lines.before.value)] : []),
  ...drawn.value,
  ...(lines.after.value ? [new Gap('below', lines.after.value)] : []),
])
let measuredAt = 0
useResizeObserver(body, () => {
  const { offsetHeight: all = 0, offsetWidth: width = 0 } = body.value ?? {}
  if (!all || !drawn.value.length || lines.before.value || width === measuredAt) return
  measuredAt = width
  high.value = (all - lines.after.value) / drawn.value.length
})

const classOf = (column: Column<Row>, row: Row) =>
  [
    column.figure ? 'right' : '',
    column.onScreenOnly ? 'no-print' : '',
    typeof column.class === 'function' ? column.class(row) : (column.class ?? ''),
  ].join(' ')

// What scrolls sideways must be reached by keys; what does not is no stop on the way.
const scrolls = ref(false)
useResizeObserver([root, () => root.value?.querySelector('table')], () => {
  const frame = root.value?.querySelector('.el-scrollbar__wrap')
  scrolls.value = !!frame && frame.scrollWidth > frame.clientWidth
})

const footOf = () => props.columns.map((column) => props.foot?.[column.key] ?? '')
// What the library asks about each line of its own.
type Asked = { row: Line<Row> | Gap }
const isLine = (one: unknown): one is Line<Row> => one instanceof Line
const cellClass = ({ row: line, columnIndex }: Asked & { columnIndex: number }) =>
  isLine(line) ? classOf(props.columns[columnIndex]!, line.row) : ''
const lineClass = ({ row: line }: Asked) => (isLine(line) ? (props.rowClass?.(line.row) ?? '') : 'gap')
const lineStyle = ({ row: line }: Asked) => (isLine(line) ? {} : { height: `${line.height}px` })
const keyOf = (line: Line<Row> | Gap) => (isLine(line) ? String(props.by(line.row)) : line.key)
</script>

<template>
  <ul v-if="asCards" ref="cards" class="cards" :class="{ roomy }" :aria-label="label">
    <li v-if="lines.before.value" class="gap" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
    <li v-for="{ row, index } in drawn" :key="by(row)" :class="rowClass?.(row)">
      <div class="head">
        <slot :name="columns[0]!.key" :row="row" :index="index">{{ columns[0]!.text?.(row) }}</slot>
      </div>
      <dl>
        <div v-for="column in columns.slice(1)" :key="column.key" :class="{ wide: column.long || !column.label }">
          <dt v-if="column.label">{{ column.label }}</dt>
          <dd :class="classOf(column, row)">
            <slot :name="column.key" :row="row" :index="index">{{ column.text?.(row) }}</slot>
          </dd>
        </div>
      </dl>
    </li>
    <li v-if="lines.after.value" class="gap" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
    <li v-if="foot" class="foot">
      <span v-for="column in columns" :key="column.key">{{ foot[column.key] }}</span>
    </li>
  </ul>
  <ElTable
    v-else
    ref="table"
    :scrollbar-tabindex="scrolls ? 0 : undefined"
    role="group"
    class="data-table"
    table-layout="auto"
    :data="shown"
    :row-key="keyOf"
    :row-class-name="lineClass"
    :row-style="lineStyle"
    :cell-class-name="cellClass"
    :aria-label="label"
    :show-summary="!!foot"
    :summary-method="footOf"
  >
    <ElTableColumn
      v-for="(column, at) in columns"
      :key="column.key"
      :label="column.label"
      :min-width="1"
      :label-class-name="[column.figure && 'right', column.onScreenOnly && 'no-print'].filter(Boolean).join(' ')"
    >
      <!-- The library asks once for a line that is none, to look for columns within the column. -->
      <template #default="{ row: line }">
        <div v-if="isLine(line)" v-heads-line="at === 0">
          <slot :name="column.key" :row="line.row" :index="line.index">{{ column.text?.(line.row) }}</slot>
        </div>
      </template>
    </ElTableColumn>
  </ElTable>
</template>

<style scoped>
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
}
.cards li:not(.gap) {
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  font-weight: 650;
  margin-bottom: 4px;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(100px, 1fr));
  gap: 6px 14px;
  margin: 0;
}
.roomy dl {
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
}
.wide {
  grid-column: 1 / -1;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
dd {
  margin: 0;
}
li.chosen {
  background: var(--in-hand);
  box-shadow: inset 4px 0 var(--copper);
  padding-inline: 12px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  border-top: 2px solid var(--ink);
  font-weight: 650;
}
li.out {
  color: var(--ink-2);
}
</style>
