<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/state/job'
import DataTable from '@/shared/ui/DataTable.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import type { Column } from '@/shared/ui/dataTable'

/** Which column is which field, and in what unit. What is set here is remembered for the next file of the same kind. */
const props = defineProps<{ found: Schemas['ImportAnswer'] }>()
const emit = defineEmits<{ change: [columns: Schemas['ColumnMap'][], comma: boolean] }>()
const { t } = useI18n()
const choices = useChoices()

const columns = ref(props.found.columns.map((column) => ({ ...column })))
const comma = ref(props.found.decimalComma)
watch(
  () => props.found.columns,
  (now) => (columns.value = now.map((column) => ({ ...column }))),
)
const fields = computed(() => choices.data.value?.importFields ?? [])
const units = computed(() => [
  { value: '', text: t('survey.exchange.ownUnit') },
  ...(choices.data.value?.importUnits ?? []).map((unit) => ({ value: unit, text: unit })),
])
const taken = (field: string, but: number) =>
  field !== '' && columns.value.some((column, i) => i !== but && column.field === field)
const fieldsFor = (at: number) => [
  { value: '', text: t('survey.exchange.leaveOut') },
  ...fields.value.map((field) => ({ value: field, text: t(`survey.import.${field}`), disabled: taken(field, at) })),
]
const tell = () => emit('change', columns.value, comma.value)
const separator = computed(() => (props.found.delimiter === 'tab' ? t('survey.exchange.tab') : props.found.delimiter))
const asked = computed((): Column<Schemas['ColumnMap']>[] => [
  { key: 'header', label: t('survey.exchange.column'), text: (column) => column.header || '–' },
  { key: 'field', label: t('survey.exchange.takeAs') },
  { key: 'unit', label: t('survey.exchange.unit') },
])
</script>

<template>
  <div class="mapping">
    <p class="small quiet">
      <template v-if="found.delimiter"
        >{{ t('survey.exchange.detected', { delimiter: separator, encoding: found.encoding }) }}
      </template>
      <template v-if="found.remembered">{{ t('survey.exchange.remembered') }}</template>
      <ElCheckbox v-if="found.delimiter" v-model="comma" @change="tell">{{ t('survey.exchange.comma') }}</ElCheckbox>
    </p>
    <DataTable
      :label="t('survey.exchange.columns')"
      :columns="asked"
      :rows="columns"
      :by="(column) => columns.indexOf(column)"
    >
      <template #field="{ row: column, index }">
        <PickOne
          v-model="column.field"
          class="pick"
          :label="t('survey.exchange.takeColumn', { column: column.header })"
          :options="fieldsFor(index)"
          @update:model-value="tell"
        />
      </template>
      <template #unit="{ row: column }">
        <PickOne
          v-model="column.unit"
          class="pick"
          :label="t('survey.exchange.unitOf', { column: column.header })"
          :options="units"
          @update:model-value="tell"
        />
      </template>
    </DataTable>
  </div>
</template>

<style scoped>
.pick {
  min-width: 110px;
}
</style>
