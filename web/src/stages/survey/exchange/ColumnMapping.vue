<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/state/job'
import PickOne from '@/shared/ui/PickOne.vue'

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
    <div class="scroll" tabindex="0" role="region" :aria-label="t('survey.exchange.columns')">
      <table>
        <tbody>
          <tr>
            <th scope="row">{{ t('survey.exchange.column') }}</th>
            <th v-for="(column, i) in columns" :key="i" scope="col">{{ column.header || '–' }}</th>
          </tr>
          <tr>
            <th scope="row">{{ t('survey.exchange.takeAs') }}</th>
            <td v-for="(column, i) in columns" :key="i">
              <PickOne
                v-model="column.field"
                class="pick"
                :label="t('survey.exchange.takeColumn', { column: column.header })"
                :options="fieldsFor(i)"
                @update:model-value="tell"
              />
            </td>
          </tr>
          <tr>
            <th scope="row">{{ t('survey.exchange.unit') }}</th>
            <td v-for="(column, i) in columns" :key="i">
              <PickOne
                v-model="column.unit"
                class="pick"
                :label="t('survey.exchange.unitOf', { column: column.header })"
                :options="units"
                @update:model-value="tell"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 4px 8px 4px 0;
  white-space: nowrap;
}
th[scope='row'] {
  font-weight: 400;
  font-size: var(--text-s);
  color: var(--ink-2);
}
.pick {
  min-width: 180px;
}
</style>
