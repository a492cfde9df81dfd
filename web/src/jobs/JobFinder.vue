<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import PickField from '../shared/ui/PickField.vue'
import { orders, type Wanted } from './finding'

/** What one looks for among the jobs. */
const props = defineProps<{ crews: readonly string[]; places: readonly string[]; found: number; all: number }>()
const wanted = defineModel<Wanted>({ required: true })
const { t } = useI18n()
const choices = (names: readonly string[], all: string) => [
  { value: '', text: all },
  ...names.map((name) => ({ value: name, text: name })),
]
const crewChoices = computed(() => choices(props.crews, t('jobs.find.everyCrew')))
const placeChoices = computed(() => choices(props.places, t('jobs.find.everyPlace')))
const orderChoices = computed(() => orders.map((value) => ({ value, text: t(`jobs.find.order.${value}`) })))
</script>

<template>
  <search class="finder no-print">
    <div class="field words">
      <label for="find-job">{{ t('jobs.find.label') }}</label>
      <ElInput
        id="find-job"
        v-model="wanted.words"
        data-find
        type="search"
        maxlength="120"
        :placeholder="t('jobs.find.example')"
        @keydown.esc="wanted.words = ''"
      />
    </div>
    <PickField
      v-if="crews.length > 1 || wanted.crew"
      v-model="wanted.crew"
      :label="t('jobs.form.crew')"
      :options="crewChoices"
    />
    <PickField
      v-if="places.length > 1 || wanted.place"
      v-model="wanted.place"
      :label="t('jobs.find.place')"
      :options="placeChoices"
    />
    <PickField v-model="wanted.order" :label="t('jobs.find.orderLabel')" :options="orderChoices" />
    <p class="small quiet" role="status">{{ t('jobs.find.count', { found, all }) }}</p>
  </search>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: minmax(220px, 2fr) repeat(3, minmax(150px, 1fr));
  gap: 10px 16px;
  align-items: end;
  margin-bottom: 14px;
}
.finder p {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .finder {
    grid-template-columns: 1fr 1fr;
  }
  .words {
    grid-column: 1 / -1;
  }
  .finder p {
    grid-column: auto;
    padding-bottom: 10px;
  }
}
</style>
