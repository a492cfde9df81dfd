<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useChoices } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTypedForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'

/** Drums of a lot put into the store. */
const emit = defineEmits<{ done: [answer: Schemas['StockAnswer']] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()
const sheets = computed(() => (choices.data.value?.sheets ?? []).map((one) => ({ value: one.id, text: one.name })))
const SIDES = [
  { value: 'a', text: 'A' },
  { value: 'b', text: 'B' },
]
const FIELDS = ['lot', 'expires', 'full', 'part'] as const

const form = useTypedForm('stock', { side: 'a' }, async (fields) => {
  const send = (id: string) => ask(api.POST('/api/stock', { body: { id, version: null, units: reader.units, fields } }))
  emit('done', await once('lot', fields, send))
})
const { values, faults, notice, busy } = form

// The next lot is most often of the same product.
async function add() {
  const { product = '', side = 'a' } = values
  if (await form.submit(['product', 'lot'])) Object.assign(values, { product, side })
}
</script>

<template>
  <form class="add no-print" @submit.prevent="add">
    <h2>{{ t('stock.add') }}</h2>
    <p class="fault" role="alert">{{ notice }}</p>
    <PickField v-model="values.product" :label="t('stock.col.product')" :options="sheets" :fault="faults.product" />
    <PickField v-model="values.side" :label="t('stock.col.side')" :options="SIDES" />
    <FormField
      v-for="field in FIELDS"
      :key="field"
      v-model="values[field]"
      :label="t(`stock.col.${field}`)"
      :fault="faults[field]"
      :day="field === 'expires'"
    />
    <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('stock.keep') }}</ElButton>
  </form>
</template>

<style scoped>
.fault:empty {
  display: none;
}
.add {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 16px;
  align-items: end;
  margin-top: 22px;
}
.add h2 {
  grid-column: 1 / -1;
  margin: 0;
}
</style>
