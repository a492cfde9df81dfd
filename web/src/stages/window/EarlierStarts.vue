<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useWriting } from '@/i18n/writing'
import type { Acts } from '@/shared/hours/useHours'
import { useReader } from '@/shared/state/reader'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** What the crew can do to begin earlier than the weather lets it: each was put through the same hours. */
const props = defineProps<{ surface: string; runs: number; when: (instant: string) => string }>()
const emit = defineEmits<{ take: [acts: Acts, what: string] }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const earlier = useQuery({
  queryKey: ['surface', () => props.surface, 'earlier'],
  queryFn: () => ask(api.GET('/api/surfaces/{id}/earlier-starts', { params: { path: { id: props.surface } } })),
})

type Start = Schemas['EarlierStartAnswer']

const given: Record<Schemas['EarlierKind'], (one: Start) => Acts> = {
  heat: (one) => ({ heatFrom: one.on!, holdC: one.figures.hold!.amount }),
  tent: () => ({ tent: true }),
  product: (one) => ({ product: one.productId! }),
  dry: (one) => ({ dryFrom: one.on! }),
}
const doing = (one: Start) =>
  one.kind === 'heat'
    ? t('hours.earlier.heat', {
        heater: t(`hours.heater.${one.heater!}`),
        power: reader.print(one.figures.power),
        on: props.when(one.on!),
        hold: reader.print(one.figures.hold),
      })
    : t(`hours.earlier.${one.kind}`, {
        ...reader.printAll(one.figures),
        product: one.product ?? '',
        on: one.on ? props.when(one.on) : '',
      })

const result = (one: Start) => {
  const start = t('hours.earlier.start', { start: props.when(one.start), holding: one.holding, runs: props.runs })
  const costs = [one.figures.heat, one.figures.cost].filter(Boolean).map((figure) => reader.print(figure))
  return costs.length ? t('hours.earlier.costs', { start, costs: listed(costs) }) : start
}

const tried = (keys: Schemas['EarlierKind'][]) => listed(keys.map((key) => t(`hours.earlier.tried.${key}`)))
</script>

<template>
  <div>
    <h2>{{ t('hours.earlier.title') }}</h2>
    <ProblemNote v-if="earlier.error.value" :problem="earlier.error.value" @retry="earlier.refetch()" />
    <ElSkeleton v-else-if="!earlier.data.value" :rows="2" animated />
    <template v-else>
      <ul class="small">
        <li v-for="one in earlier.data.value.starts" :key="one.kind + (one.product ?? '')">
          <b>{{ doing(one) }}</b>
          <p class="quiet">{{ result(one) }}</p>
          <ElButton link type="primary" @click="emit('take', given[one.kind](one), doing(one))">{{
            t('hours.acts.show')
          }}</ElButton>
        </li>
      </ul>
      <p v-if="!earlier.data.value.starts.length && earlier.data.value.tried.length" class="small quiet">
        {{ t('hours.earlier.none', { tried: tried(earlier.data.value.tried) }) }}
      </p>
      <p v-if="earlier.data.value.noHeaters" class="small quiet">
        {{ t('hours.earlier.noHeaters') }}
        <RouterLink class="act" :to="{ name: 'means' }">{{ t('hours.earlier.toHeaters') }}</RouterLink>
      </p>
      <p v-if="earlier.data.value.starts.some((one) => one.kind === 'heat')" class="small quiet">
        {{ t('hours.earlier.caution') }}
      </p>
    </template>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
h2 {
  margin-bottom: 4px;
}
</style>
