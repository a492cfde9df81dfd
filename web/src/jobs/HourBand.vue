<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import HourStrip from '../shared/hours/HourStrip.vue'
import { useHours, useHourWords } from '../shared/hours/useHours'
import { useReader } from '../shared/state/reader'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** The next hours of the surface in hand, across the top of every screen of a job: when it can be sprayed, and what limits the rest. */
const props = defineProps<{ surface: Schemas['BoardRow']; job: string }>()
const PAUSE = 250
const SHOWN = 72
const { t } = useI18n()
const reader = useReader()
// Who goes down the surfaces by keys asks for the hours where the keys stop; until they are known the last ones are faint and say nothing.
const asked = refDebounced(
  computed(() => props.surface.id),
  PAUSE,
)
const known = useHours(asked)
const isHere = computed(() => asked.value === props.surface.id && !known.isPending.value)
const hours = computed(() => known.data.value)
const at = ref(0)
watch(asked, () => (at.value = 0))
const words = useHourWords(
  () => props.job,
  () => hours.value,
)
const hour = computed(() => hours.value?.hours[at.value])
const next = computed(() => hours.value?.windows[0])
const page = computed(() => ({ name: 'window', params: { job: props.job, surface: props.surface.id } }))
const what = computed(() => props.surface.sheet ?? t('system.none'))
const source = computed(() => {
  const of = hours.value?.source
  if (!of) return ''
  return of.kind === 'forecast'
    ? t('hours.issued', { source: of.name, when: words.when(of.issuedAt!) })
    : t('hours.usualShort')
})
</script>

<template>
  <section class="band" :aria-label="t('hours.title')">
    <div class="who" :title="surface.name">
      <h2>{{ surface.name }}</h2>
      <p class="small quiet">{{ what }}</p>
      <p v-if="source" class="small quiet">{{ source }}</p>
    </div>
    <div v-if="hours && !hours.lack" class="hours" :class="{ waits: !isHere }" :inert="!isHere">
      <HourStrip v-model:at="at" :job="job" :hours="hours" :count="SHOWN" />
      <p v-if="hour && isHere" class="small told"><VerdictMark :verdict="hour.verdict" /> {{ words.told(hour) }}</p>
    </div>
    <p v-else class="hours quiet small">
      {{ hours?.lack ? t(`hours.lack.${hours.lack}`) : known.error.value ? t('hours.failed') : t('app.loading') }}
      <RouterLink v-if="hours?.lack === 'place' || hours?.lack === 'position'" class="act" :to="{ name: 'places' }">
        {{ t('hours.toPlaces') }}
      </RouterLink>
    </p>
    <div class="next">
      <h2>{{ t('hours.next') }}</h2>
      <template v-if="isHere && hours && !hours.lack">
        <RouterLink v-if="next" class="act" :to="page">{{
          t('hours.nextShort', { from: words.when(next.from), chance: reader.print(next.chance) })
        }}</RouterLink>
        <RouterLink v-else class="act" :to="page">{{ t('hours.noneShort') }}</RouterLink>
      </template>
    </div>
  </section>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: 206px minmax(0, 1fr) 180px;
  gap: 18px;
  padding: 8px 20px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  min-height: 112px;
  align-items: start;
}
h2 {
  font-size: 1rem;
}
.who p,
.who h2 {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.waits {
  opacity: 0.25;
}
.told {
  min-height: 1.4em;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 1000px) {
  .band {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 8px 14px;
    gap: 6px 14px;
  }
  .hours {
    grid-column: 1 / -1;
    order: 3;
  }
  .told {
    white-space: normal;
    min-height: 2.8em;
  }
}
</style>
