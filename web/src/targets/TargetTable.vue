<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import TypedField from '@/shared/ui/TypedField.vue'

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
const inZones = <T extends { zone: string }>(cells: readonly T[]): (T | { zone: string })[] =>
  zones.value.map((zone) => cells.find((cell) => cell.zone === zone) ?? { zone })

const typed = useTyped(() => ({ kind: 'targets', id: props.set.id }))
</script>

<template>
  <details class="set" :open="mayEdit">
    <summary>
      <b>{{ set.edition }}</b>
      <span class="quiet small">{{ t(set.own ? 'targets.own' : 'targets.ships') }}</span>
    </summary>
    <p class="fault" role="alert">{{ typed.notice.value }}</p>
    <div v-if="mayEdit" class="head">
      <TypedField :typed="typed" field="name" :label="t('targets.name')" :kept="set.edition" />
      <ElButton link type="primary" @click="emit('remove')">{{ t('targets.remove') }}</ElButton>
    </div>
    <div class="scroll" role="region" :aria-label="set.edition" tabindex="0">
      <table class="small">
        <thead>
          <tr>
            <th scope="col">{{ t('targets.part') }}</th>
            <th v-for="zone in zones" :key="zone" scope="col">
              {{ t('targets.zone', { zone }) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in set.lines" :key="line.element">
            <th scope="row">{{ t(`targets.element.${line.element}`) }}</th>
            <td v-for="cell in inZones(line.cells)" :key="cell.zone">
              <template v-if="!('greatestU' in cell)">–</template>
              <TypedField
                v-else-if="mayEdit"
                hide-label
                :typed="typed"
                :field="cell.field"
                :label="listed([t(`targets.element.${line.element}`), t('targets.zone', { zone: cell.zone })])"
                :kept="reader.print(cell.greatestU)"
              />
              <template v-else>{{ reader.print(cell.greatestU) }}</template>
            </td>
          </tr>
          <tr v-if="set.slabs.length">
            <th scope="row">{{ t('targets.element.slab') }}</th>
            <td v-for="cell in inZones(set.slabs)" :key="cell.zone">
              <template v-if="'leastR' in cell"
                >{{ reader.print(cell.leastR) }}<br />{{
                  t('targets.along', { along: reader.print(cell.along) })
                }}</template
              >
              <template v-else>–</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
.set {
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
summary::before {
  content: '▸';
  color: var(--copper);
}
.set[open] > summary::before {
  content: '▾';
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
summary {
  display: flex;
  align-items: center;
  gap: 14px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  table-layout: fixed;
  min-width: 1040px;
  width: 100%;
}
th,
td {
  text-align: right;
  padding: 4px 6px;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
th:first-child {
  text-align: left;
  width: 170px;
}
td :deep(.fault) {
  white-space: normal;
  text-align: left;
}
td {
  vertical-align: top;
}
td :deep(.el-input__inner) {
  text-align: right;
  min-width: 0;
  width: 100%;
  padding-inline: 4px;
}
.fault:empty {
  display: none;
}
</style>
