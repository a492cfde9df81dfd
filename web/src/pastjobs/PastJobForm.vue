<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useChoices } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTypedForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'

/** A finished job typed in: what was sprayed, how deep it was measured, and how many sets it took. */
const emit = defineEmits<{ done: [answer: Schemas['PastJobsAnswer']]; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()
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
    <label class="field">
      <span>{{ t('past.col.product') }}</span>
      <select v-model="values.product" class="input" :aria-invalid="!!faults.product">
        <option v-for="sheet in choices.data.value?.sheets ?? []" :key="sheet.id" :value="sheet.id">
          {{ sheet.name }}
        </option>
      </select>
      <em class="fault">{{ faults.product }}</em>
    </label>
    <FormField
      v-for="field in FIELDS"
      :key="field"
      v-model="values[field]"
      :label="t(`past.field.${field}`)"
      :fault="faults[field]"
      :day="field === 'finished'"
      :hint="field === 'finished' ? '2026-11-23' : ''"
    />
    <div class="acts">
      <button class="button main" :disabled="busy">{{ t('past.keep') }}</button>
      <button type="button" class="button" @click="cancel">{{ t('past.close') }}</button>
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
em {
  font-style: normal;
}
</style>
