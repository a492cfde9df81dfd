<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useStepWords } from '@/shared/sequences/stepWords'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'

/** All steps of a run with what was said of them; on paper with a box to tick, reasons and dangers. */
const props = defineProps<{
  run: Schemas['RunAnswer']
  answer: Schemas['SequenceAnswer']
  marks: readonly Schemas['StepMarkAsked'][]
  picked: string | undefined
  locked: boolean
}>()
const emit = defineEmits<{ pick: [step: string]; said: [step: string, text: string] }>()
const { t } = useI18n()
const reader = useReader()
const writing = useWriting()
const words = useStepWords()
const times = useTimesIn(() => props.run.timeZone)
const steps = () => props.run.question.sequence.steps
const toldOf = (id: string) => props.answer.steps.find((one) => one.id === id)!
const markOf = (id: string) => props.marks.find((mark) => mark.step === id)
const numberOf = (id: string) => String(steps().findIndex((one) => one.id === id) + 1)

function said(id: string): string {
  const [mark, told] = [markOf(id), toldOf(id)]
  if (!mark) {
    const waitsFor = told.waitsFor.map(numberOf)
    return waitsFor.length ? t('sequence.run.waitsFor', { steps: writing.listed(waitsFor) }) : ''
  }
  const [time, by] = [times.moment(mark.at), mark.by || t('sequence.run.notSent')]
  if (mark.skippedBecause) return t('sequence.run.skippedBy', { reason: mark.skippedBecause, time, by })
  const value = reader.print(told.read)
  return value ? t('sequence.run.readBy', { value, time, by }) : t('sequence.run.doneBy', { time, by })
}
</script>

<template>
  <ol class="steps">
    <li v-for="(step, at) in steps()" :key="step.id" :class="[toldOf(step.id).state, { picked: step.id === picked }]">
      <span class="box" aria-hidden="true" />
      <div class="text">
        <ElButton
          v-if="toldOf(step.id).state !== 'blocked'"
          link
          type="primary"
          :aria-current="step.id === picked ? 'step' : undefined"
          @click="emit('pick', step.id)"
          ><span class="number">{{ at + 1 }}</span> {{ words.what(step) }}</ElButton
        >
        <span v-else
          ><span class="number">{{ at + 1 }}</span> {{ words.what(step) }}</span
        >
        <span class="visually-hidden">{{ t(`sequence.run.state.${toldOf(step.id).state}`) }}</span>
        <b v-if="toldOf(step.id).hardStop" class="small stop">{{ t('sequence.run.hardStop') }}</b>
        <span class="small quiet">{{ said(step.id) }}</span>
        <p class="small on-paper">
          {{ words.why(step) }} <b>{{ t('sequence.run.wrong') }}</b> {{ words.wrong(step) }}
        </p>
        <ElButton
          v-if="toldOf(step.id).canTakeBack && !locked"
          link
          type="primary"
          class="no-print"
          :aria-label="t('sequence.run.takeBackOf', { what: words.what(step) })"
          @click="emit('said', step.id, 'open')"
          >{{ t('sequence.run.takeBack') }}</ElButton
        >
      </div>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 10px;
  padding: 7px 6px;
  border-bottom: 1px solid var(--line);
  break-inside: avoid;
}
li.picked {
  background: var(--sheet);
}
li.blocked {
  color: var(--ink-2);
}
.text {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
}
.text :deep(.el-button) {
  white-space: normal;
  text-align: left;
  height: auto;
  min-height: 28px;
  line-height: 1.3;
}
.text > .small.quiet {
  flex-basis: 100%;
}
.number {
  display: inline-block;
  min-width: 24px;
  font-variant-numeric: tabular-nums;
}
.stop {
  color: var(--hold);
}
/* The verdicts' eclipse is theirs: a step is a box that fills. */
.box {
  width: 20px;
  height: 20px;
  margin-top: 3px;
  border: 2px solid var(--ink-2);
  border-radius: 4px;
}
.done .box {
  background: var(--ink);
}
.waiting .box {
  background: linear-gradient(to top, var(--ink) 50%, transparent 50%);
}
.skipped .box {
  border-style: dashed;
}
.blocked .box {
  opacity: 0.4;
}
.on-paper {
  display: none;
}
@media (max-width: 700px) {
  .text :deep(.el-button) {
    min-height: 44px;
  }
}
@media print {
  .on-paper {
    display: block;
    flex-basis: 100%;
    margin: 0;
  }
  .box {
    print-color-adjust: exact;
  }
}
</style>
