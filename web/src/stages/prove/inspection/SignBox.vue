<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import { useTimesIn } from '@/shared/state/times'
import { useCommandForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'
import SignaturePad from './SignaturePad.vue'
import { BY_NAME, strokesOf } from './strokes'

/** The signature under the inspection: name, role, and what was drawn on the device. */
const props = defineProps<{
  surface: string
  answer: Schemas['ProofAnswer']
  place: () => Place
  timeZone?: string | null
  locked: boolean
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const times = useTimesIn(() => props.timeZone)
const signed = computed(() => props.answer.signature)
const form = useCommandForm(
  () => `signature.${props.surface}`,
  { signedName: '', signedRole: '', signedStrokes: '' },
  props.place,
)
const { values, faults, notice, busy } = form
const sign = () => form.submit(['signedName', 'signedRole', 'signedStrokes'], { kind: 'signedOff' })
const points = (stroke: readonly (readonly [number, number])[]) => stroke.map((at) => at.join(',')).join(' ')
const noStrokes = computed(() => (faults.value.signedStrokes ? t('prove.inspection.noStrokes') : undefined))
</script>

<template>
  <section>
    <h2>{{ t('prove.inspection.signTitle') }}</h2>
    <div v-if="signed" class="signed">
      <svg viewBox="0 0 1000 300" role="img" :aria-label="t('prove.inspection.drawn', { name: signed.name })">
        <text v-if="signed.strokes === BY_NAME" x="60" y="220">{{ signed.name }}</text>
        <polyline v-for="(stroke, i) in strokesOf(signed.strokes)" :key="i" :points="points(stroke)" />
      </svg>
      <p>
        {{ t('prove.inspection.signed', { name: signed.name, role: signed.role, when: times.time(signed.at) }) }}
      </p>
      <ElButton v-if="!locked" link type="primary" @click="emit('say', { kind: 'withdrawn', replaces: signed.id })">{{
        t('prove.inspection.withdraw')
      }}</ElButton>
    </div>
    <form v-else-if="!locked" novalidate @submit.prevent="sign">
      <div class="fields">
        <FormField
          v-model="values.signedName"
          name="signedName"
          :label="t('prove.inspection.name')"
          :fault="faults.signedName"
        />
        <FormField
          v-model="values.signedRole"
          name="signedRole"
          :label="t('prove.inspection.role')"
          :hint="t('prove.inspection.roleHint')"
          :fault="faults.signedRole"
        />
      </div>
      <SignaturePad
        :model-value="values.signedStrokes ?? ''"
        :name="values.signedName ?? ''"
        :fault="noStrokes"
        @update:model-value="values.signedStrokes = $event"
      />
      <p v-if="notice" class="fault" role="alert">{{ notice }}</p>
      <ElButton type="primary" native-type="submit" class="large" :disabled="busy">{{
        t('prove.inspection.sign')
      }}</ElButton>
    </form>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  max-width: 560px;
  margin-bottom: 10px;
}
.signed svg {
  width: 260px;
  max-width: 100%;
  border-bottom: 1px solid var(--ink-2);
}
text {
  font: 600 90px var(--head);
  fill: var(--ink);
}
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 7;
  stroke-linecap: round;
}
.large {
  min-height: 48px;
  margin-top: 10px;
}
section {
  margin-bottom: 14px;
}
</style>
