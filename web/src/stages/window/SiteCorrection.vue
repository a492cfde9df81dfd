<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Hours } from '@/shared/hours/useHours'
import { useEdits } from '@/shared/state/edits'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTimes } from '@/shared/state/times'

/** What readings at the site do to the hours ahead, and the switch for it. */
const props = defineProps<{ job: string; hours: Hours }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const edits = useEdits()
const times = useTimes(() => props.job)
const place = computed(() => ({ kind: 'job', id: props.job, within: props.job }) as const)
const correction = computed(() => props.hours.correction)
const said = computed(() => {
  const of = correction.value
  if (!of) return ''
  const figures = { n: of.hours, air: reader.print(of.air), dew: reader.print(of.dew) }
  return t(of.on ? 'hours.site.on' : 'hours.site.off', figures, of.hours)
})
// Both are read together as a rule: then one sentence says so.
const read = computed(() => {
  const { substrateReadAt: face, roomReadAt: room } = props.hours
  if (face && face === room) return t('hours.site.both', { when: times.hour(face) })
  return [
    face && t('hours.site.substrate', { when: times.hour(face) }),
    room && t('hours.site.room', { when: times.hour(room) }),
  ]
    .filter(Boolean)
    .join(' ')
})
const turn = () => edits.keep(place.value, { correctsForecast: correction.value?.on ? 'no' : 'yes' })
</script>

<template>
  <p v-if="said" class="small site">
    {{ said }}
    <ElButton v-if="session.may('edit')" link type="primary" @click="turn">{{
      t(correction!.on ? 'hours.site.turnOff' : 'hours.site.turnOn')
    }}</ElButton>
  </p>
  <p v-if="read" class="small quiet">{{ read }}</p>
</template>
