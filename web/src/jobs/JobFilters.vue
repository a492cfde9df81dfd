<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import PickField from '../shared/ui/PickField.vue'
import { orders, shelves, type Wanted } from './finding'
import { jobStates } from './jobLife'

/** Which jobs are listed, and in which order. Deleted ones are only listed. */
const props = defineProps<{ crews: readonly string[]; places: readonly string[] }>()
const wanted = defineModel<Wanted>({ required: true })
const { t } = useI18n()
const choices = (names: readonly string[], all: string) => [
  { value: '', text: all },
  ...names.map((name) => ({ value: name, text: name })),
]
const crewChoices = computed(() => choices(props.crews, t('jobs.find.everyCrew')))
const placeChoices = computed(() => choices(props.places, t('jobs.find.everyPlace')))
const stateChoices = computed(() => [
  { value: '', text: t('jobs.find.everyState') },
  ...jobStates.map((value) => ({ value, text: t(`jobs.state.${value}`) })),
])
const shelfChoices = computed(() => shelves.map((value) => ({ value, text: t(`jobs.find.shelf.${value}`) })))
const orderChoices = computed(() => orders.map((value) => ({ value, text: t(`jobs.find.order.${value}`) })))
</script>

<template>
  <PickField v-model="wanted.shelf" :label="t('jobs.find.shelf.label')" :options="shelfChoices" />
  <template v-if="wanted.shelf !== 'deleted'">
    <PickField v-model="wanted.state" :label="t('jobs.find.state')" :options="stateChoices" />
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
  </template>
</template>
