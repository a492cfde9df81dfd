<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBrowserCore } from '../shared/core/computeSection'
import { useProblems } from '../shared/figures/problems'
import { useHelpOn } from '../shared/state/help'
import { onKey } from '../shared/state/keys'
import { useChoices } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import AppBar from '../shared/ui/AppBar.vue'
import FormField from '../shared/ui/FormField.vue'
import PickField from '../shared/ui/PickField.vue'
import ProblemNote from '../shared/ui/ProblemNote.vue'
import StagePages from '../shared/ui/StagePages.vue'
import PocketResult from './PocketResult.vue'
import { cardNames, cards, type Card } from './cards'
import { usePocket } from './pocket'
import TonightNote from './TonightNote.vue'

/** Quick answers without a job. The answer stands over the fields, so that no keyboard covers it. */
const props = defineProps<{ card: Card }>()
const { t, te } = useI18n()
const reader = useReader()
const choices = useChoices()
const { sentence } = useProblems()
useBrowserCore()
useHelpOn(() => 'pocket')
onKey('u', () => reader.switchUnits())

const sheets = computed(() =>
  (choices.data.value?.sheets ?? [])
    .filter(({ retired }) => !retired)
    .map(({ id, name }) => ({ value: id, text: name })),
)
const pocket = usePocket(
  () => props.card,
  () => sheets.value.map(({ value }) => value),
)
const pages = computed(() =>
  cardNames.map((name) => ({
    name: `pocket.${name}`,
    to: { name: `pocket.${name}` },
    text: t(`pocket.card.${name}`),
  })),
)
const fields = computed(() => Object.entries(cards[props.card].fields))
const faultOf = (field: string) => {
  const fault = pocket.answer.value.faults.find((one) => one.field === field)
  return fault && sentence(fault)
}
const hintOf = (field: string) => {
  const own = `pocket.${field}Hint${reader.units === 'metric' ? 'Metric' : ''}`
  const key = [own, `pocket.${field}Hint`].find((one) => te(one))
  return key && t(key)
}
</script>

<template>
  <AppBar :title="t('pocket.title')" />
  <main id="work" class="pocket">
    <h1 class="visually-hidden">{{ t('pocket.title') }}: {{ t(`pocket.card.${card}`) }}</h1>
    <StagePages class="cards" :label="t('pocket.title')" :pages="pages" />
    <ProblemNote v-if="choices.error.value" :problem="choices.error.value" @retry="choices.refetch()" />
    <ProblemNote v-else-if="pocket.error.value" :problem="pocket.error.value" @retry="pocket.retry()" />
    <PocketResult v-else class="answer" :card="card" :answer="pocket.answer.value" />
    <div class="fields">
      <FormField
        v-for="[field, kind] in fields"
        :key="`${card}.${field}`"
        v-model="pocket.fields[field]"
        :name="field"
        :label="t(`pocket.field.${field}`)"
        :kind="kind"
        :hint="hintOf(field)"
        :fault="faultOf(field)"
      />
      <PickField v-model="pocket.sheetId.value" :label="t('pocket.product')" :options="sheets" />
    </div>
    <TonightNote v-if="card === 'dew'" />
    <p class="small quiet">{{ t('pocket.lead') }} {{ t('pocket.asSheet') }}</p>
  </main>
</template>

<style scoped>
.pocket {
  max-width: 760px;
  margin: 0 auto;
  padding: 16px 20px 60px;
  display: grid;
  gap: 14px;
}
.answer {
  position: sticky;
  top: 0;
  z-index: 2;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px 16px;
  align-items: start;
}
@media (max-width: 700px) {
  .pocket {
    padding: 8px 14px 40px;
    gap: 8px;
  }
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
