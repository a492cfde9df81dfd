<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useDays, useTimes } from '@/shared/state/times'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'
import { useLineNames } from '@/shared/figures/lineNames'

/** A bid as it was made, and line by line what today's figures change of it. */
const props = defineProps<{ job: string; bid: Schemas['KeptBidAnswer']; locked: boolean }>()
defineEmits<{ off: [] }>()
const { t } = useI18n()
const reader = useReader()
const names = useLineNames()

const day = useDays()
const times = useTimes(() => props.job)
const same = computed(() => props.bid.changes.length === 0)
const sign = (dearer: boolean) => (dearer ? '+' : '−')

/** Why a surface is priced otherwise, in a sentence. */
function why(one: Schemas['SurfaceChangeAnswer']) {
  if (!one.routeBefore) return t('price.why.added', { name: one.name })
  if (!one.routeAfter) return t('price.why.gone', { name: one.name })
  const temps = { before: reader.print(one.substrateBefore), after: reader.print(one.substrateAfter) }
  const sets = { setsBefore: reader.print(one.setsBefore), setsAfter: reader.print(one.setsAfter) }
  const moved = temps.before !== temps.after
  if (one.routeBefore !== one.routeAfter)
    return t('price.why.route', {
      name: one.name,
      ...temps,
      ...sets,
      from: t(`price.route.${one.routeBefore}.short`),
      to: t(`price.route.${one.routeAfter}.short`),
    })
  return t(moved ? 'price.why.substrate' : 'price.why.sets', { name: one.name, ...temps, ...sets })
}
type Change = Schemas['KeptBidAnswer']['changes'][number]
const columns = computed((): Column<Change>[] => [
  { key: 'what', label: t('price.col.what') },
  { key: 'before', label: t('price.changeCol.before'), text: (line) => reader.print(line.before), figure: true },
  { key: 'after', label: t('price.changeCol.after'), text: (line) => reader.print(line.after), figure: true },
  {
    key: 'difference',
    label: t('price.changeCol.difference'),
    text: (line) => sign(line.dearer) + reader.print(line.difference),
    figure: true,
  },
])
</script>

<template>
  <article>
    <header>
      <h3>{{ t('price.keptOf', { price: reader.print(bid.price) }) }}</h3>
      <span class="small quiet">
        {{ t('price.keptBy', { by: bid.madeBy, at: times.day(bid.madeAt) }) }}
        {{ bid.workDate ? t('price.keptFor', { day: day(bid.workDate) }) : t('price.keptNoDay') }}
      </span>
      <ElButton v-if="!locked" link type="primary" class="no-print" @click="$emit('off')">{{
        t('price.keptOff')
      }}</ElButton>
    </header>
    <p v-if="same" class="quiet">{{ t('price.keptSame') }}</p>
    <template v-else>
      <p>
        <b>{{ t(bid.dearer ? 'price.dearer' : 'price.cheaper', { by: reader.print(bid.difference) }) }}</b>
      </p>
      <ul v-if="bid.surfaces.length" class="why">
        <li v-for="one in bid.surfaces" :key="one.name">{{ why(one) }}</li>
      </ul>
      <DataTable
        class="small"
        :label="t('price.keptOf', { price: reader.print(bid.price) })"
        :columns="columns"
        :rows="bid.changes"
        :by="(line) => line.key"
      >
        <template #what="{ row }">
          {{ names.line(row) }}
          <span class="quiet">{{ reader.print(row.quantityBefore) }} → {{ reader.print(row.quantityAfter) }}</span>
        </template>
      </DataTable>
    </template>
  </article>
</template>

<style scoped>
article {
  border-top: 1px solid var(--line);
  padding: 12px 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: baseline;
}
.why {
  margin: 6px 0 10px;
  padding-left: 18px;
}
</style>
