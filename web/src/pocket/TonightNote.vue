<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '../shared/api/client'
import { useProblems } from '../shared/figures/problems'
import { useChoices } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import PickField from '../shared/ui/PickField.vue'

/** How close faces in the open come to the dew point in the coming night, at a place of the firm's. */
const { t, d } = useI18n()
const reader = useReader()
const choices = useChoices()
const { general } = useProblems()
const kept = useLocalStorage('pocket.place', '')
const places = computed(() => (choices.data.value?.places ?? []).map(({ id, name }) => ({ value: id, text: name })))
const place = computed({
  get: () => (places.value.some(({ value }) => value === kept.value) ? kept.value : ''),
  set: (id) => (kept.value = id),
})
const options = computed(() => [{ value: '', text: t('pocket.tonight.none') }, ...places.value])
const known = useQuery({
  queryKey: ['places', place, 'tonight'],
  queryFn: () => ask(api.GET('/api/places/{id}/tonight', { params: { path: { id: place.value } } })),
  enabled: () => place.value !== '',
  staleTime: 15 * 60_000,
})
const night = computed(() => (place.value ? known.data.value : undefined))
const at = (instant: string) =>
  d(new Date(instant), {
    weekday: 'short',
    hour: 'numeric',
    minute: '2-digit',
    timeZone: night.value?.timeZone ?? undefined,
  })
const runs = computed(() => night.value?.source?.members ?? 0)
const verdict = ({ wet }: Schemas['NightOfFace']) =>
  wet === 0 ? t('pocket.tonight.dry') : t('pocket.tonight.wet', { wet, runs: runs.value })
</script>

<template>
  <section class="tonight" :aria-label="t('pocket.tonight.title')">
    <h2>{{ t('pocket.tonight.title') }}</h2>
    <PickField v-model="place" :label="t('pocket.tonight.place')" :options="options" />
    <p v-if="place && known.error.value" class="fault" role="alert">{{ general(known.error.value) }}</p>
    <p v-else-if="place && !night" class="quiet">{{ t('app.loading') }}</p>
    <p v-else-if="night?.lack" class="quiet">
      {{ t('pocket.tonight.position') }}
      <RouterLink class="act" :to="{ name: 'places' }">{{ t('pocket.tonight.toPlaces') }}</RouterLink>
    </p>
    <template v-else-if="night">
      <p v-if="!night.faces.length" class="quiet">{{ t('pocket.tonight.untold') }}</p>
      <ul>
        <li v-for="one in night.faces" :key="one.face">
          <b>{{ reader.print(one.figures.least) }}</b>
          <span>
            {{ t(`pocket.tonight.face.${one.face}`) }}
            <small class="quiet">{{
              t('pocket.tonight.of', {
                low: reader.print(one.figures.low),
                high: reader.print(one.figures.high),
                at: at(one.at),
                verdict: verdict(one),
              })
            }}</small>
          </span>
        </li>
      </ul>
      <p class="small quiet">
        {{ t('pocket.tonight.span', { from: at(night.from!), until: at(night.until!) }) }}
        {{
          night.source?.kind === 'forecast'
            ? t('pocket.tonight.credit', { credit: night.source.credit, issued: at(night.source.issuedAt!) })
            : t('pocket.tonight.usual')
        }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.tonight {
  border-top: 2px solid var(--ink);
  padding-top: 12px;
  display: grid;
  gap: 8px;
}
.tonight :deep(.field) {
  max-width: 340px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 12px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li b {
  font: 700 1.2rem var(--head);
  text-align: right;
}
li span {
  display: grid;
  line-height: 1.25;
}
</style>
