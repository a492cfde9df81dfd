<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useDays, useTimes } from '@/shared/state/times'
import { useSurfaceFields } from '@/shared/state/fields'
import { useSurfaces } from '@/shared/state/job'
import TypedField from '@/shared/ui/TypedField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'

/** How long foam on an open face stands in the weather, and by when the next trade must cover it. */
const props = defineProps<{
  job: string
  surface: string
  after: Schemas['AfterSprayingAnswer']
  sheet: string
  runs: number
}>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const day = useDays()
const times = useTimes(() => props.job)
// Until the surface is there nothing can be typed into it: an edit holds on to it as it was.
const surfaces = useSurfaces(() => props.job)
const typed = useSurfaceFields(
  () => props.job,
  () => props.surface,
)

const said = computed(() => ({
  ...reader.printAll(props.after.figures),
  sheet: props.sheet,
  runs: props.runs,
  rained: props.after.rained,
  sprayed: day(props.after.sprayedOn),
  covered: day(props.after.coveredOn),
  by: day(props.after.coverBy),
  from: day(props.after.sprayFrom),
  reach: props.after.reachTo ? times.dayOfMonth(props.after.reachTo) : '',
}))
const sprayed = computed(() =>
  props.after.curedAt ? t('hours.after.sprayed', { ...said.value, cured: times.hour(props.after.curedAt) }) : '',
)
const allowed = computed(() => {
  const { sun, rain } = props.after.figures
  const days = sun && rain ? 'both' : sun ? 'sun' : rain ? 'rain' : 'none'
  return t(`hours.after.allowed.${days}`, said.value)
})
const cover = computed(() => {
  const { coverBy, coveredOn, figures, verdict } = props.after
  if (!coveredOn) return coverBy ? t('hours.after.coverBy', said.value) : ''
  if (!verdict) return ''
  const open = figures.open?.amount ?? 0
  if (open < 0) return t('hours.after.before', said.value)
  const key = verdict === 'hold' ? 'late' : verdict === 'clear' ? 'inTime' : 'open'
  return t(`hours.after.${key}`, said.value, open)
})
const wet = computed(() =>
  props.after.figures.wetLow ? t(props.after.reachTo ? 'hours.after.wetTo' : 'hours.after.wet', said.value) : '',
)
</script>

<template>
  <section class="after">
    <h2>{{ t('hours.after.title') }}</h2>
    <div class="told">
      <div>
        <p v-if="cover" class="cover">
          <VerdictMark v-if="after.verdict" :verdict="after.verdict" /> <b>{{ cover }}</b>
        </p>
        <p class="small">{{ allowed }}</p>
        <p v-if="sprayed" class="small quiet">{{ sprayed }} {{ wet }}</p>
      </div>
      <TypedField
        :typed="typed"
        field="coveredOn"
        :label="t('survey.field.coveredOn')"
        :kept="after.coveredOn ?? ''"
        day
        :disabled="!session.may('edit') || !surfaces.data.value"
      />
    </div>
  </section>
</template>

<style scoped>
.after {
  border-top: 2px solid var(--ink);
  margin-top: 14px;
  padding-top: 10px;
}
.told {
  display: grid;
  grid-template-columns: 1fr minmax(200px, 260px);
  gap: 6px 24px;
  align-items: start;
}
.told p {
  margin-bottom: 4px;
  max-width: 75ch;
}
@media (max-width: 700px) {
  .told {
    grid-template-columns: 1fr;
  }
}
h2 {
  margin-bottom: 4px;
}
</style>
