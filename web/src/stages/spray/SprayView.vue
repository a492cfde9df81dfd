<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useClock } from '@/shared/state/clock'
import { useBoard } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTimesIn } from '@/shared/state/times'
import FindingLine from '@/shared/ui/FindingLine.vue'
import FindingsList from '@/shared/ui/FindingsList.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import DepthPad from '@/shared/depth/DepthPad.vue'
import DrumsBox from './DrumsBox.vue'
import JobEnd from './JobEnd.vue'
import LiftSketch from './LiftSketch.vue'
import LogList from './LogList.vue'
import MaterialBox from './MaterialBox.vue'
import PressButton from './PressButton.vue'
import SayMore from './SayMore.vue'
import WalkRound from './WalkRound.vue'
import WorkArea from './WorkArea.vue'
import { useJobSpray } from './useJobSpray'
import { useSignals } from './useSignals'
import { useSpray } from './useSpray'
import { useWakeLock } from './useWakeLock'

/** What has been sprayed, and when can the next lift go on? */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const board = useBoard(() => props.job)
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))
const spray = useSpray(
  () => props.job,
  () => props.surface,
)
const { log, answer, entries, open, say } = spray
const told = computed(() => log.data.value)
const jobSpray = useJobSpray(
  () => props.job,
  () => log.dataUpdatedAt.value,
)
const atJob = computed(() => jobSpray.data.value)
const courses = computed(() => atJob.value?.courses.filter((one) => one.surfaces.includes(props.surface)) ?? [])
const times = useTimesIn(() => told.value?.timeZone)
const locked = computed(() => !session.may('record'))
// A test shot that counts is a rule of the gate too (G14).
const shot = computed(() => (told.value?.shot?.verdict === 'clear' ? null : told.value?.shot))
const gate = computed(() => (shot.value?.verdict === 'hold' ? 'hold' : (told.value?.gate ?? null)))
const pads = ref(false)
const signals = useSignals()
const { vibrates, sounds } = signals

// What it is begun on is logged with it: the worse of the gate and of the work area.
const begunOn = computed(() => (answer.value?.area.verdict === 'hold' ? 'hold' : gate.value))

function press() {
  if (open.value) say({ kind: 'liftEnded', of: open.value.id })
  else say({ kind: 'liftBegun', ...(begunOn.value ? { gate: begunOn.value } : {}) })
}

function readDepth(depth: string, place: string) {
  const of = open.value?.id ?? answer.value?.lifts.at(-1)?.id
  say({ kind: 'depth', depth, ...(place.trim() ? { place: place.trim() } : {}), ...(of ? { of } : {}) })
  closePad()
}

// Back to where it was opened from.
const depthBox = useTemplateRef('depthBox')
function closePad() {
  pads.value = false
  void nextTick(() => depthBox.value?.focus())
}

const number = computed(() => {
  const now = answer.value
  if (!now) return ''
  const [isOver, isFurther] = [!open.value && now.lifts.length >= now.planned, now.number > now.planned]
  const key = isOver ? 'over' : isFurther ? 'further' : 'now'
  return t(`spray.lift.${key}`, { number: now.number, planned: now.planned })
})
const clock = useClock(5_000)
const isDue = computed(() => Date.parse(answer.value?.nextAt ?? '') <= clock.value.getTime())
// A lift that is waited for is told when it is due, as long as the page is open.
const waited = computed(() => (open.value || answer.value?.finishedAt ? '' : (answer.value?.nextAt ?? '')))
const isAwaited = computed(() => (vibrates.value || sounds.value) && !!waited.value && !isDue.value)
watch([waited, isDue], ([at, due], [before, wasDue]) => {
  if (at && at === before && due && !wasDue) signals.due()
})
useWakeLock(() => open.value !== undefined || isAwaited.value)
const next = computed(() => {
  const now = answer.value
  if (!now || open.value) return t('spray.next.spraying')
  if (now.finishedAt) return t('spray.next.finished')
  if (!now.lifts.length) return t('spray.next.first')
  if (!now.nextAt) return t('spray.next.never')
  return isDue.value ? t('spray.next.now') : t('spray.next.at', { when: times.moment(now.nextAt) })
})
const nextBecause = computed(() => {
  const now = answer.value
  if (!now?.nextAt || open.value || now.finishedAt) return ''
  return isDue.value ? t('spray.next.since', { when: times.hour(now.nextAt) }) : t(`spray.because.${now.nextBecause}`)
})
// The pad begins at what the lifts that are on should measure.
const due = computed(() => answer.value?.due ?? answer.value?.needs)
const finish = () => say({ kind: answer.value?.finishedAt ? 'reopened' : 'finished' })
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="spray">
    <h1 class="visually-hidden">{{ writing.labelled(t('spray.title'), row?.name ?? '') }}</h1>
    <ProblemNote v-if="log.error.value && !told" :problem="log.error.value" @retry="log.refetch()" />
    <ElSkeleton v-else-if="!told" :rows="7" animated />
    <p v-else-if="told.missing" class="quiet">
      {{ t(told.missing === 'sheet' ? 'spray.noSheet' : 'spray.noThickness') }}
    </p>
    <div v-else-if="answer" class="spray">
      <p class="gate">
        <VerdictMark v-if="gate" :verdict="gate" :size="24" />
        <b>{{ t(`spray.gate.${gate ?? 'unknown'}`) }}</b>
        <RouterLink v-if="told.gate !== 'clear'" :to="{ name: 'window', params: { job, surface } }">{{
          t('spray.toWindow')
        }}</RouterLink>
      </p>
      <p v-if="shot" class="gate">
        <FindingLine :finding="shot" :size="18" />
        <RouterLink :to="{ name: 'rig', params: { job, surface } }">{{ t('spray.toRig') }}</RouterLink>
      </p>
      <WorkArea :answer="answer" :locked="locked" @say="say({ kind: $event })" />
      <header class="lift">
        <h2>{{ number }}</h2>
        <span class="small quiet">{{
          t('spray.lift.each', { each: reader.print(answer.each), specified: reader.print(answer.specified) })
        }}</span>
      </header>
      <LiftSketch :answer="answer" />
      <p v-if="answer.finishedAt" class="note">
        {{ t('spray.lift.finished', { when: times.time(answer.finishedAt) }) }}
      </p>
      <PressButton
        v-if="!locked"
        :runs="open !== undefined"
        :since="open ? t('spray.running', { when: times.moment(open.begunAt) }) : ''"
        @tap="signals.tapped"
        @press="press"
      />
      <p v-for="one in spray.faults.value" :key="one.record" class="fault" role="alert">
        {{ one.fault }}
        <ElButton link type="primary" @click="spray.letGo(one.record)">{{ t('unsent.discard') }}</ElButton>
      </p>
      <p v-for="stop in answer.openStops" :key="stop.id" class="note">
        {{ t('spray.stopped.open', { when: times.moment(stop.at), reason: t(`spray.reason.${stop.reason}`) }) }}
        <ElButton v-if="!locked" @click="say({ kind: 'resumed', of: stop.id })">{{
          t('spray.stopped.resume')
        }}</ElButton>
      </p>
      <DepthPad
        v-if="pads && due"
        :key="reader.units"
        :from="due.amount * 1000"
        :needs="reader.print(due)"
        @read="readDepth"
        @cancel="closePad"
      />
      <div class="boxes">
        <button
          ref="depthBox"
          type="button"
          class="box"
          :disabled="locked || !answer.lifts.length"
          :aria-expanded="pads"
          @click="pads = true"
        >
          <span class="small">{{ t('spray.depth.title') }}</span>
          <b>{{ answer.depth ? reader.print(answer.depth) : t('spray.depth.none') }}</b>
          <span class="small">{{ t('spray.depth.needs', { needs: reader.print(due) }) }}</span>
        </button>
        <div class="box" role="status">
          <span class="small">{{ t('spray.next.title') }}</span>
          <b>{{ next }}</b>
          <span class="small">{{ nextBecause }}</span>
        </div>
      </div>
      <FindingLine v-if="!open && !answer.finishedAt" :finding="answer.next" :size="18" detail />
      <p v-if="!answer.calculated" class="small">{{ t('spray.next.notCalculated') }}</p>
      <DrumsBox :answer="answer" :sheet="told.question?.sheetId" :job="atJob" :locked="locked" @say="say" />
      <MaterialBox v-for="one in courses" :key="one.sheetId" :course="one" />
      <SayMore v-if="!locked" :probes="answer.lifts.length > 0" @say="say" />
      <p class="signals">
        <ElCheckbox v-model="vibrates">{{ t('spray.signals.vibrates') }}</ElCheckbox>
        <ElCheckbox v-model="sounds">{{ t('spray.signals.sounds') }}</ElCheckbox>
      </p>
      <p class="small quiet">{{ t('spray.today', { time: reader.print(answer.sprayedToday) }) }}</p>
      <WalkRound v-if="answer.lifts.length" :answer="answer" :locked="locked" @say="say" />
      <section v-if="answer.lifts.length && !open" class="finish">
        <h2>{{ t('spray.finish.title') }}</h2>
        <FindingLine v-for="one in answer.end" :key="one.case" :finding="one" detail />
        <ElButton v-if="!locked" class="large" @click="finish">{{
          t(answer.finishedAt ? 'spray.finish.reopen' : 'spray.finish.button')
        }}</ElButton>
      </section>
      <JobEnd v-if="atJob" :spray="atJob" :time-zone="told.timeZone" :locked="locked" @say="say" />
      <LogList
        :job="job"
        :surface="surface"
        :entries="entries"
        :time-zone="told.timeZone"
        :locked="locked"
        :waits="spray.waitsFor"
        :read="answer.read"
        @say="say"
      />
    </div>
    <ElSkeleton v-else :rows="7" animated />
    <template #side>
      <FindingsList v-if="answer?.ahead.length" :findings="answer.ahead" />
      <section v-if="answer?.lifted.length">
        <h2>{{ t('spray.lifted') }}</h2>
        <FindingLine v-for="(one, i) in answer.lifted" :key="i" :finding="one" detail />
      </section>
      <section class="safety small">
        <h2>{{ t('spray.safety.title') }}</h2>
        <p>{{ t('spray.safety.text') }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.gate {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin: 0 0 8px;
}
/* As large as a thumb, in its line or under it. */
.gate a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.gate b {
  font-size: 1.15rem;
}
.lift {
  margin-top: 12px;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 2px 14px;
}
.lift h2 {
  margin: 0;
  font-size: 1.6rem;
}
.box:focus-visible {
  outline: 4px solid var(--copper);
  outline-offset: 3px;
}
.boxes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 10px;
}
.box {
  display: grid;
  gap: 2px;
  text-align: left;
  border: 1px solid var(--field-line);
  border-radius: 10px;
  background: var(--sheet);
  color: inherit;
  font: inherit;
  padding: 8px 12px;
  min-height: 84px;
  align-content: start;
}
button.box {
  cursor: pointer;
}
.box b {
  font: 650 1.35rem var(--head);
  font-variant-numeric: tabular-nums;
}
.note {
  border-left: 4px solid var(--field-line);
  padding-left: 10px;
}
.signals {
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  margin: 0 0 6px;
}
.signals :deep(.el-checkbox) {
  min-height: 44px;
  margin: 0;
}
.finish {
  margin-bottom: 16px;
}
.large {
  min-height: 64px;
}
.safety {
  margin-top: 22px;
  color: var(--ink-2);
}
.safety h2 {
  font-size: 1rem;
  color: var(--ink);
}
</style>
