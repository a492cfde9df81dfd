<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useChoices } from '@/shared/state/job'
import { useCrewNames } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useTypedForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'

/** A finished job typed in: what was sprayed, how deep it was measured, and how many sets it took. */
const emit = defineEmits<{ done: [answer: Schemas['PastJobsAnswer']]; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()
const sheets = computed(() => (choices.data.value?.sheets ?? []).map((one) => ({ value: one.id, text: one.name })))
const crews = useCrewNames()
const NEEDED = ['name', 'crew', 'finished', 'area', 'meanDepth', 'sets', 'substrate', 'drum', 'lift'] as const
const FIELDS = [...NEEDED, 'depthReadings', 'depthScatter'] as const

const form = useTypedForm('pastJob', {}, async (fields) => {
  const send = (id: string) =>
    ask(api.POST('/api/past-jobs', { body: { id, version: null, units: reader.units, fields } }))
  emit('done', await once('pastJob', fields, send))
})
const { values, faults, notice, busy } = form

function cancel() {
  form.clear()
  emit('cancel')
}
</script>

<template>
  <form @submit.prevent="form.submit(['product', ...NEEDED])" @keydown.esc="cancel">
    <PickField v-model="values.product" :label="t('past.col.product')" :options="sheets" :fault="faults.product" />
    <FormField
      v-for="field in FIELDS"
      :key="field"
      v-model="values[field]"
      :label="t(`past.field.${field}`)"
      :fault="faults[field]"
      :day="field === 'finished'"
      :known="field === 'crew' ? crews : undefined"
    />
    <div class="acts">
      <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('past.keep') }}</ElButton>
      <ElButton @click="cancel">{{ t('past.close') }}</ElButton>
      <span class="fault" role="alert">{{ notice }}</span>
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px 16px;
  align-items: start;
  margin: 10px 0 20px;
}
.acts {
  grid-column: 1 / -1;
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
