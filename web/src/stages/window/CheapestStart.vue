<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useWriting } from '@/i18n/writing'
import type { Acts, Hours } from '@/shared/hours/useHours'
import { useReader } from '@/shared/state/reader'
import { useTimes } from '@/shared/state/times'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** The cheapest that opens a start before a day somebody waits for, and why nothing cheaper does. */
const props = defineProps<{ job: string; surface: string; hours: Hours }>()
const emit = defineEmits<{ take: [acts: Acts, what: string] }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const times = useTimes(() => props.job)
type ActionSet = Schemas['ActionSetAnswer']

// The day that has begun is no day to be ready before.
const days = computed(() =>
  props.hours.days.slice(1).map(({ start }) => ({ value: times.date(start), text: times.dayOfMonth(start) })),
)
const options = computed(() => [{ value: '', text: t('hours.cheapest.choose') }, ...days.value])
const day = ref('')
const found = useQuery({
  queryKey: ['surface', () => props.surface, 'cheapest', day],
  queryFn: () =>
    ask(
      api.GET('/api/surfaces/{id}/cheapest-start', {
        params: { path: { id: props.surface }, query: { before: day.value } },
      }),
    ),
  enabled: () => day.value !== '',
})
const answer = computed(() => (day.value ? found.data.value : undefined))
const runs = computed(() => props.hours.source?.members ?? 0)

function what(set: ActionSet) {
  const heat = set.on
    ? t('hours.cheapest.from', {
        heater: t(`hours.heater.${set.heater!}`),
        power: reader.print(set.figures.power),
        on: times.hour(set.on),
        hold: reader.print(set.figures.hold),
      })
    : set.heater
      ? t('hours.cheapest.heat')
      : ''
  const dry = set.dryFrom
    ? t('hours.cheapest.dryFrom', { on: times.hour(set.dryFrom) })
    : set.dries
      ? t('hours.cheapest.dry')
      : ''
  const parts = [
    set.tent ? t('hours.earlier.tent') : '',
    set.product ? t('hours.earlier.product', { product: set.product }) : '',
    dry,
    heat,
  ].filter(Boolean)
  return parts.length ? listed(parts, 'plus') : t('hours.cheapest.wait')
}

function opened(set: ActionSet) {
  const start = t('hours.cheapest.opened', { start: times.hour(set.start!), holding: set.holding, runs: runs.value })
  const costs = [set.figures.heat, set.figures.cost].filter(Boolean).map((figure) => reader.print(figure))
  return costs.length ? t('hours.cheapest.openedWith', { start, costs: listed(costs) }) : start
}

function failed(set: ActionSet) {
  const said = { what: what(set), holding: set.holding, runs: runs.value }
  if (!set.start) return t('hours.cheapest.nobody', said)
  const at = { ...said, start: times.hour(set.start) }
  return set.limit
    ? t('hours.cheapest.failed', { ...at, limit: t(`hours.by.${set.limit}`) })
    : t('hours.cheapest.failedPlain', at)
}

const acts = (set: ActionSet): Acts => ({
  tent: set.tent || undefined,
  product: set.productId ?? undefined,
  heatFrom: set.on ?? undefined,
  holdC: set.figures.hold?.amount,
  dryFrom: set.dryFrom ?? undefined,
})
const isAct = (set: ActionSet) => Object.values(acts(set)).some((one) => one !== undefined)
</script>

<template>
  <section class="cheapest">
    <h2>{{ t('hours.cheapest.title') }}</h2>
    <PickField v-model="day" name="startBefore" :label="t('hours.cheapest.before')" :options="options" />
    <div aria-live="polite">
      <ProblemNote v-if="day && found.error.value" :problem="found.error.value" @retry="found.refetch()" />
      <p v-else-if="day && !answer" class="quiet">{{ t('app.loading') }}</p>
      <template v-else-if="answer">
        <template v-if="answer.opened">
          <p class="big">{{ what(answer.opened) }}</p>
          <p class="small">
            {{ opened(answer.opened) }}
            <ElButton
              v-if="isAct(answer.opened)"
              link
              type="primary"
              @click="emit('take', acts(answer.opened), what(answer.opened))"
              >{{ t('hours.acts.show') }}</ElButton
            >
          </p>
        </template>
        <p v-else class="big">
          {{ t('hours.cheapest.nothing', { day: days.find((one) => one.value === day)?.text ?? '' }) }}
        </p>
        <template v-if="answer.cheaper.length">
          <p class="small quiet">{{ t(answer.opened ? 'hours.cheapest.cheaper' : 'hours.cheapest.tried') }}</p>
          <ul class="small">
            <li v-for="(set, i) in answer.cheaper" :key="i">{{ failed(set) }}</li>
          </ul>
        </template>
        <p v-if="answer.opened?.on" class="small quiet">{{ t('hours.earlier.caution') }}</p>
        <p v-if="answer.noHeaters" class="small quiet">
          {{ t('hours.earlier.noHeaters') }}
          <RouterLink class="act" :to="{ name: 'means' }">{{ t('hours.earlier.toHeaters') }}</RouterLink>
        </p>
      </template>
    </div>
  </section>
</template>

<style scoped>
.cheapest {
  border-top: 2px solid var(--ink);
  margin-top: 14px;
  padding-top: 10px;
  display: grid;
  gap: 6px;
}
.cheapest :deep(.field) {
  max-width: 260px;
}
.big {
  font: 650 1.1rem var(--head);
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
