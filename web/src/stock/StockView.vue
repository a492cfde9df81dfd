<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { useWriting } from '@/i18n/writing'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useMaterialRefresh, useStock } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import { useDays } from '@/shared/state/times'
import TypeOnce from '@/shared/typing/TypeOnce.vue'
import AppBar from '@/shared/ui/AppBar.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import type { Column } from '@/shared/ui/dataTable'
import StockForm from './StockForm.vue'

/** Drums in the store: A and B counted apart, by lot, with their last day. */
type Lot = Schemas['StockLotAnswer']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const stock = useStock()
const refresh = useMaterialRefresh()
const edits = useEdits()
const mayEdit = computed(() => session.may('edit'))

const off = useTakeOff(async (id) => take(await ask(api.DELETE('/api/stock/{id}', { params: { path: { id } } }))))
const lots = computed(() => (stock.data.value?.lots ?? []).filter((lot) => !off.gone(lot.id)))
const take = (answer: unknown) => refresh(['stock'], answer)
const days = useDays()
const day = (iso: string | null | undefined) => days(iso) || '–'

const placeOf = ({ id }: Lot) => ({ kind: 'lot', id })
const fault = computed(() => lots.value.map((lot) => edits.faultAt(placeOf(lot))).find(Boolean) ?? '')
const change = (lot: Lot, field: 'full' | 'part', text: string) => edits.keep(placeOf(lot), { [field]: text })
const COUNTS = ['full', 'part'] as const
const columns = computed((): Column<Lot>[] => [
  { key: 'product', label: t('stock.col.product'), text: (lot) => lot.sheet },
  {
    key: 'side',
    label: t('stock.col.side'),
    text: (lot) => lot.side.toUpperCase(),
    class: ({ side }) => `side-${side}`,
  },
  { key: 'lot', label: t('stock.col.lot'), text: (lot) => lot.lot },
  { key: 'expires', label: t('stock.col.expires'), text: (lot) => day(lot.expires) },
  ...COUNTS.map((key) => ({ key, label: t(`stock.col.${key}`) })),
  { key: 'off', label: '', onScreenOnly: true },
])
</script>

<template>
  <AppBar :title="t('stock.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('stock.title') }}</h1>
    <p class="quiet">{{ t('stock.lead') }}</p>
    <ProblemNote v-if="stock.error.value" :problem="stock.error.value" @retry="stock.refetch()" />
    <ElSkeleton v-else-if="!stock.data.value" :rows="6" animated />
    <template v-else>
      <p class="fault" role="alert">{{ fault }}</p>
      <TakenOff :off="off" />
      <div v-if="stock.data.value.products.length" class="products">
        <section v-for="product in stock.data.value.products" :key="product.sheetId">
          <h2>{{ product.sheet }}</h2>
          <p class="sets">
            {{ reader.print(product.sets) }}
            <span class="small quiet">{{
              t('stock.sides', { a: reader.print(product.setsA), b: reader.print(product.setsB) })
            }}</span>
          </p>
          <FindingLine v-for="(one, i) in product.findings" :key="i" class="small" :finding="one" :size="13" />
        </section>
      </div>
      <p v-if="!lots.length" class="empty">{{ t('stock.empty') }}</p>
      <DataTable v-else :label="t('stock.title')" :columns="columns" :rows="lots" :by="(lot) => lot.id">
        <template v-for="field in COUNTS" :key="field" #[field]="{ row: lot }">
          <TypeOnce
            class="short"
            :text="edits.textOf(placeOf(lot), field, field === 'full' ? String(lot.full) : reader.print(lot.part))"
            kind="number"
            :disabled="!mayEdit"
            :aria-label="listed([t(`stock.col.${field}`), lot.lot])"
            @change="change(lot, field, $event)"
          />
        </template>
        <template #off="{ row: lot }">
          <ElButton v-if="mayEdit" link type="primary" @click="off.takeOff(lot.id, lot.lot)">
            {{ t('stock.remove') }}<span class="visually-hidden"> {{ lot.lot }}</span>
          </ElButton>
        </template>
      </DataTable>
      <StockForm v-if="mayEdit" @done="take" />
    </template>
  </main>
</template>

<style scoped>
.fault:empty {
  display: none;
}
.products {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 14px 26px;
  margin: 14px 0 18px;
}
.products h2,
.products p {
  margin: 0 0 2px;
}
.sets {
  font: 650 1.2rem var(--head);
}
.sets .small {
  font: 400 var(--text-s) var(--body);
}
.short {
  width: 100px;
}
.empty {
  padding: 20px 0;
}
</style>
