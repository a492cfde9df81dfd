<script setup lang="ts">
import { v7 } from 'uuid'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { useCommandForm } from '@/shared/state/typedForm'
import PhotosOf from '@/shared/photos/PhotosOf.vue'

/** What the last shot says: likely causes, what to do next, and whether it can be accepted. */
const props = defineProps<{ job: string; surface: string; shot: Schemas['FiredShotAnswer'] }>()
const { t, n } = useI18n()
const writing = useWriting()
const session = useSession()
const place = (kind: string) => () => ({ kind, id: `${props.surface}/${props.shot.id}/${v7()}`, within: props.job })
const step = useCommandForm(() => `step.${props.shot.id}`, {}, place('shotStep'))
const acceptance = useCommandForm(() => `acceptance.${props.shot.id}`, {}, place('shotAcceptance'))

const LIKELY = 0.05
const SHOWN = 4
const answer = computed(() => props.shot.answer)
const likely = computed(() => answer.value.causes.filter((cause) => cause.chance >= LIKELY).slice(0, SHOWN))
const next = computed(() => answer.value.causes.find((cause) => cause.nextStep === answer.value.nextStep))
const percent = (chance: number) => n(chance, { style: 'percent', maximumFractionDigits: 0 })
const refusal = computed(() => Object.values(acceptance.faults.value)[0] ?? acceptance.notice.value)
const accepted = computed(() => props.shot.acceptedBy !== null)
</script>

<template>
  <section class="diagnosis">
    <h2>{{ t('rig.diagnosis.title') }}</h2>
    <p v-if="accepted" class="verdict">{{ t('rig.diagnosis.accepted', { by: shot.acceptedBy }) }}</p>
    <div v-if="answer.findings.length" class="refused">
      <h3>{{ t('rig.diagnosis.refusals') }}</h3>
      <ul>
        <li v-for="against in answer.findings" :key="against">{{ t(`rig.refusal.${against}`) }}</li>
      </ul>
    </div>
    <p v-else-if="!accepted">{{ t(shot.acceptable ? 'rig.diagnosis.acceptable' : 'rig.diagnosis.likelier') }}</p>
    <h3>{{ t('rig.diagnosis.likely') }}</h3>
    <ul class="causes">
      <li v-for="cause in likely" :key="cause.id">
        <span class="bar" :style="{ width: `${Math.round(cause.chance * 100)}%` }" aria-hidden="true" />
        <b>{{ percent(cause.chance) }}</b>
        <span>{{ t(`rig.cause.${cause.id}`) }}</span>
      </li>
    </ul>
    <div v-if="answer.nextStep && next && !accepted" class="next">
      <h3>{{ t('rig.diagnosis.next') }}</h3>
      <p>{{ t(`rig.step.${answer.nextStep}`) }}</p>
      <ElButton
        :disabled="step.busy.value || !session.may('record')"
        :aria-label="writing.labelled(t('rig.diagnosis.done'), t(`rig.step.${answer.nextStep}`))"
        @click="step.submit([], { cause: next.id })"
        >{{ t('rig.diagnosis.done') }}</ElButton
      >
      <span v-if="step.notice.value" class="fault" role="alert">{{ step.notice.value }}</span>
    </div>
    <div v-if="shot.acceptable && !accepted && !shot.loss && session.may('edit')" class="accept">
      <ElButton type="primary" :disabled="acceptance.busy.value" @click="acceptance.submit([], { accepted: 'yes' })">{{
        t('rig.diagnosis.accept')
      }}</ElButton>
      <span v-if="refusal" class="fault" role="alert">{{ refusal }}</span>
    </div>
    <PhotosOf :job="job" :about="{ surface, shot: shot.id }" :word="t('rig.diagnosis.photo')" />
    <p class="small quiet">{{ t('rig.diagnosis.lead') }}</p>
  </section>
</template>

<style scoped>
.diagnosis {
  border-left: 5px solid var(--copper);
  background: var(--sheet);
  padding: 10px 16px 12px;
  margin-bottom: 20px;
  scroll-margin-top: 180px;
}
h3 {
  font-size: 1rem;
  margin: 10px 0 4px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
.causes {
  list-style: none;
  padding: 0;
}
.causes li {
  position: relative;
  padding: 5px 8px;
}
.causes b {
  display: inline-block;
  min-width: 52px;
}
.bar {
  position: absolute;
  inset: 2px auto 2px 0;
  background: var(--line);
  opacity: 0.6;
  z-index: 0;
}
b,
.bar ~ span {
  position: relative;
}
.accept {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  margin: 12px 0 6px;
}
.accept :deep(.el-checkbox) {
  height: auto;
  min-height: 44px;
}
.accept :deep(.el-checkbox__label) {
  white-space: normal;
}
</style>
