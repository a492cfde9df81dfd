<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useDays, useTimes } from '@/shared/state/times'
import { useLineNames } from './lineNames'

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
      <table class="small">
        <thead>
          <tr>
            <th scope="col">{{ t('price.col.what') }}</th>
            <th v-for="col in ['before', 'after', 'difference'] as const" :key="col" scope="col" class="right">
              {{ t(`price.changeCol.${col}`) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in bid.changes" :key="line.key">
            <th scope="row">
              {{ names.line(line) }}
              <span class="quiet"
                >{{ reader.print(line.quantityBefore) }} → {{ reader.print(line.quantityAfter) }}</span
              >
            </th>
            <td class="right">{{ reader.print(line.before) }}</td>
            <td class="right">{{ reader.print(line.after) }}</td>
            <td class="right">{{ sign(line.dearer) }}{{ reader.print(line.difference) }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  border-collapse: collapse;
  width: 100%;
  max-width: 900px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--line);
}
thead th {
  color: var(--ink-2);
  font-weight: 600;
}
.right {
  text-align: right;
  white-space: nowrap;
}
</style>
