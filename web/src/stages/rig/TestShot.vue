<script setup lang="ts">
import { v7 } from 'uuid'
import { computed, nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Outcome } from '@/shared/keeping/editor'
import { useSession } from '@/shared/state/session'
import { useCommandForm } from '@/shared/state/typedForm'
import DoubtNote from '@/shared/ui/DoubtNote.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'
import LookPick from './LookPick.vue'
import { LOOKS, lookWith } from './looks'
import { TIMED, useShotClock } from './shotClock'

/** A test shot: timed with one large button, then what is seen of it, picked from drawings. */
const props = defineProps<{ job: string; surface: string; rig: Schemas['RigOfSurface'] }>()
const { t, n } = useI18n()
const session = useSession()
const form = useCommandForm(
  () => `shot.${props.surface}`,
  {},
  () => ({ kind: 'testShot', id: `${props.surface}/${v7()}`, within: props.job }),
)
const { values: typed, typed: inForm, faults, notice, busy } = form
const done = ref<Outcome | ''>('')
const mayFire = computed(() => session.may('record'))
const expected = computed(() => props.rig.expected)

const oneDecimal = (seconds: number) => n(seconds, { minimumFractionDigits: 1, maximumFractionDigits: 1 })
const clock = useShotClock((what, seconds) => (typed[what] = `${oneDecimal(seconds)} s`))

function press() {
  if (!clock.runs.value) for (const what of TIMED) typed[what] = ''
  done.value = ''
  clock.press()
}

const READINGS = [
  ...['substrate', 'drumA', 'drumB', 'primaryA', 'primaryB', 'hose', 'pressureA', 'pressureB'],
  ...['sinceMixed', 'lift', 'sample'],
]
const kindOf = (field: string) =>
  /^(substrate|drum|primary|hose)/.test(field) ? 'temperature' : field === 'lift' ? 'length' : 'number'
const moreIsSaid = computed(() => READINGS.some((field) => typed[field] || faults.value[field]))

async function save() {
  done.value = ''
  if (!Object.values(inForm.value).some((text) => text.trim())) return
  clock.stop()
  const outcome = await form.submit([], { rig: props.rig.rig ?? '' })
  done.value = outcome === 'refused' ? '' : outcome
  // What it says stands above.
  if (outcome === 'taken')
    await nextTick(() => document.querySelector('.diagnosis')?.scrollIntoView({ block: 'start' }))
}
</script>

<template>
  <form class="shot" novalidate @submit.prevent="save">
    <h2>{{ t('rig.shot.title') }}</h2>
    <p class="small quiet">{{ t('rig.shot.lead') }}</p>
    <p v-if="expected" class="small">
      {{
        t('rig.shot.expected', {
          cream: `${oneDecimal(expected.creamS)} s`,
          tackFree: `${oneDecimal(expected.tackFreeS)} s`,
        })
      }}
    </p>
    <p v-if="!rig.sprayer" class="small">{{ t('rig.sprayer.first') }}</p>
    <button
      type="button"
      class="press"
      :class="{ runs: clock.runs.value }"
      :disabled="!mayFire || !rig.sprayer"
      @click="press"
    >
      <span>{{ t(`rig.shot.${clock.next.value ?? (typed.tackFree ? 'again' : 'go')}`) }}</span>
      <output v-if="clock.runs.value" class="seconds">{{ oneDecimal(clock.seconds.value) }} s</output>
    </button>
    <div class="fields">
      <FormField
        v-for="field in TIMED"
        :key="field"
        v-model="typed[field]"
        :name="field"
        :label="t(`rig.shot.field.${field}`)"
        kind="number"
        :disabled="!mayFire"
        :fault="faults[field]"
      >
        <DoubtNote :doubt="form.doubtOf(field)" @other="form.submitOther(field, $event)" @right="form.right(field)" />
      </FormField>
    </div>
    <h3>{{ t('rig.shot.look') }}</h3>
    <div class="looks">
      <LookPick
        v-for="(options, field) in LOOKS"
        :key="field"
        v-model="typed[field]"
        :field="field"
        :options="options"
        :look="(value) => lookWith(field, value)"
        :disabled="!mayFire"
      />
    </div>
    <FoldBox class="more" :title="t('rig.shot.more')" :opened="moreIsSaid">
      <div class="fields">
        <FormField
          v-for="field in READINGS"
          :key="field"
          v-model="typed[field]"
          :name="field"
          :label="t(`rig.shot.field.${field}`)"
          :kind="kindOf(field)"
          :disabled="!mayFire"
          :fault="faults[field]"
        >
          <DoubtNote :doubt="form.doubtOf(field)" @other="form.submitOther(field, $event)" @right="form.right(field)" />
        </FormField>
      </div>
    </FoldBox>
    <div class="go">
      <ElButton type="primary" native-type="submit" :disabled="busy || !mayFire">{{ t('rig.shot.save') }}</ElButton>
      <span role="status" class="small quiet">{{
        done ? t(done === 'waits' ? 'window.waits' : 'rig.shot.saved') : ''
      }}</span>
      <span v-if="faults.rig || notice" class="fault" role="alert">{{ faults.rig ?? notice }}</span>
    </div>
  </form>
</template>

<style scoped>
h3 {
  margin: 14px 0 2px;
}
.shot {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 12px 16px 14px;
  margin-bottom: 20px;
}
.press {
  display: flex;
  justify-content: center;
  align-items: baseline;
  gap: 22px;
  width: 100%;
  min-height: 96px;
  border: 0;
  border-radius: 12px;
  background: var(--copper);
  color: var(--copper-ink);
  font: 650 1.9rem var(--head);
  cursor: pointer;
  align-content: center;
  flex-wrap: wrap;
  margin: 8px 0 12px;
}
.press.runs {
  background: var(--ink);
  color: var(--sheet);
}
.press:disabled {
  opacity: 0.5;
  cursor: default;
}
.press:focus-visible {
  outline: 4px solid var(--ink);
  outline-offset: 3px;
}
.seconds {
  font-variant-numeric: tabular-nums;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 10px 14px;
}
.looks {
  margin-bottom: 8px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 4px 20px;
}
.go {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  margin-top: 12px;
}
</style>
