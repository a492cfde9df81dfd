<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useStepWords } from '@/shared/sequences/stepWords'
import { useRun } from '@/shared/sequences/useRun'
import { useClock } from '@/shared/state/clock'
import { useEdits } from '@/shared/state/edits'
import { useHelpOn } from '@/shared/state/help'
import { useSession } from '@/shared/state/session'
import { useTimesIn } from '@/shared/state/times'
import AppBar from '@/shared/ui/AppBar.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StepList from './StepList.vue'
import StepNow from './StepNow.vue'

/** A sequence that is run: one step after the other, by thumb, on whatever device is at hand. */
const props = defineProps<{ run: string; surface?: string }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const words = useStepWords()
useHelpOn(() => 'sequences')
const { run, answer, marks, waits } = useRun(() => props.run)
const told = computed(() => run.data.value)
const times = useTimesIn(() => told.value?.timeZone)
const steps = computed(() => told.value?.question.sequence.steps ?? [])
const locked = computed(() => told.value?.givenUpAt !== null || !session.may('record'))
const place = computed(() => ({ kind: 'sequenceMark', id: props.run, within: told.value?.job ?? undefined }))

const chosen = ref<string>()
const stateOf = (id: string) => answer.value?.steps.find((step) => step.id === id)
const open = computed(() => steps.value.filter((step) => stateOf(step.id)?.state === 'open'))
const picked = computed(() => {
  const stays = steps.value.find((step) => step.id === chosen.value)
  return stays ?? open.value[0]
})
// What was done is left for the next one; what somebody else did meanwhile too.
watch(
  () => chosen.value && stateOf(chosen.value)?.state,
  (now, before) => before === 'open' && now !== 'open' && (chosen.value = undefined),
)
const number = computed(() => steps.value.findIndex((step) => step.id === picked.value?.id) + 1)
const done = computed(() => marks.value.length)

const now = useClock(1_000)
const waiting = computed(() =>
  steps.value.flatMap((step) => {
    const until = stateOf(step.id)?.state === 'waiting' && stateOf(step.id)?.readyAt
    return until ? [{ what: words.what(step), id: step.id, until, left: leftUntil(until) }] : []
  }),
)
const MINUTE = 60
function leftUntil(instant: string) {
  const seconds = Math.max(0, Math.round((Date.parse(instant) - now.value.getTime()) / 1000))
  return `${Math.floor(seconds / MINUTE)}:${String(seconds % MINUTE).padStart(2, '0')}`
}

function said(step: string, text: string) {
  if (step === chosen.value) chosen.value = undefined
  void edits.keepApart(place.value, { [step]: text })
}
const faultOf = (step: string) => edits.faultAt(place.value, step)
// A step that was refused is shown again, with why.
const refused = computed(() => steps.value.find((step) => faultOf(step.id))?.id)
watch(refused, (id) => id && (chosen.value = id))

const progress = computed(() => t('sequence.run.progress', { done: done.value, of: steps.value.length }))

const giveUp = () => edits.keep({ ...place.value, kind: 'sequenceEnd' }, { end: 'yes' })
const print = () => window.print()
const back = computed(() =>
  told.value?.job && props.surface
    ? { to: { name: 'rig', params: { job: told.value.job, surface: props.surface } }, text: 'sequence.run.back' }
    : { to: { name: 'means' }, text: 'sequence.run.toMeans' },
)
const title = computed(() => (told.value ? t(`sequence.kind.${told.value.kind}`) : t('sequence.title')))
</script>

<template>
  <AppBar :title="title" />
  <main id="work" class="run-page">
    <ProblemNote v-if="run.error.value" :problem="run.error.value" @retry="run.refetch()" />
    <ElSkeleton v-else-if="!told || !answer" :rows="7" animated />
    <template v-else>
      <RouterLink :to="back.to" class="back no-print">{{ t(back.text) }}</RouterLink>
      <h1>{{ title }}</h1>
      <p class="small quiet">
        {{ told.jobName ? t('sequence.run.of', { rig: told.rigName, job: told.jobName }) : told.rigName }} ·
        {{ t('sequence.run.begun', { when: times.time(told.begunAt), by: told.begunBy }) }}
      </p>
      <ElProgress
        class="no-print"
        :percentage="Math.round((100 * done) / steps.length)"
        :aria-label="progress"
        :format="() => progress"
      />
      <p v-if="told.editedSince" class="small note">{{ t('sequence.run.edited') }}</p>
      <p v-if="told.givenUpAt" class="note">
        {{ t('sequence.run.givenUp', { by: told.givenUpBy, when: times.time(told.givenUpAt) }) }}
      </p>
      <div class="columns">
        <div class="no-print">
          <section v-if="waiting.length" class="waiting">
            <p v-for="one in waiting" :key="one.id">
              {{ t('sequence.run.waiting', { what: one.what, left: one.left, time: times.moment(one.until) }) }}
            </p>
            <p v-if="!locked" class="small quiet">
              {{ t(open.length ? 'sequence.run.meanwhile' : 'sequence.run.onlyWait') }}
            </p>
          </section>
          <StepNow
            v-if="picked && stateOf(picked.id)"
            :step="picked"
            :told="stateOf(picked.id)!"
            :number="number"
            :of="steps.length"
            :fault="faultOf(picked.id)"
            :locked="locked"
            @said="said(picked.id, $event)"
          >
            <p v-if="stateOf(picked.id)?.state !== 'blocked'">
              <ElButton v-if="stateOf(picked.id)?.canTakeBack && !locked" @click="said(picked.id, 'open')">{{
                t('sequence.run.takeBack')
              }}</ElButton>
              <ElButton v-if="open.length" @click="chosen = undefined">{{ t('sequence.run.cancel') }}</ElButton>
            </p>
          </StepNow>
          <section v-else-if="answer.over" class="over" role="status">
            <h2>{{ t('sequence.run.over') }}</h2>
            <p v-if="told.kind === 'dayStart'">
              <RouterLink :to="back.to">{{ t('sequence.run.overNext') }}</RouterLink>
            </p>
          </section>
          <!-- Below what is tapped: what comes and goes above it would move it from under a thumb. -->
          <p v-if="waits" class="small note" role="status">{{ t('sequence.run.notSent') }}</p>
          <p class="acts">
            <ElButton link type="primary" @click="print">{{ t('sequence.run.print') }}</ElButton>
            <ElButton v-if="!locked && !answer.over" link type="primary" @click="giveUp">{{
              t('sequence.run.giveUp')
            }}</ElButton>
          </p>
          <p class="small quiet">{{ t('sequence.run.lead') }}</p>
        </div>
        <FoldBox class="all" :title="t('sequence.run.all')" opened>
          <StepList
            :run="told"
            :answer="answer"
            :marks="marks"
            :picked="picked?.id"
            :locked="locked"
            @pick="chosen = $event"
            @said="said"
          />
        </FoldBox>
      </div>
    </template>
  </main>
</template>

<style scoped>
.run-page {
  max-width: 1240px;
  margin: 0 auto;
  padding: 14px 20px 40px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 32px;
  align-items: start;
  margin-top: 12px;
}
.back {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
h1 {
  margin: 0;
}
.note {
  border-left: 4px solid var(--field-line);
  padding-left: 10px;
}
.waiting {
  border-left: 5px solid var(--copper);
  padding: 4px 12px;
  margin-bottom: 10px;
  font-variant-numeric: tabular-nums;
}
.waiting p {
  margin: 2px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .run-page {
    padding: 8px 12px 40px;
  }
}
@media print {
  .columns {
    display: block;
  }
}
</style>
