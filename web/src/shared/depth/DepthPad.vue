<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import FormField from '@/shared/ui/FormField.vue'
import { countOf, STEPS, textOf, within } from './depthPad'

/** A depth for a hand in a glove: it begins at what is asked for, and is counted up and down from there. */
const props = defineProps<{
  from: number
  needs: string
  /** What is read, where it is not all foam somewhere on the surface. */
  title?: string
  /** Where it is read is known already. */
  placed?: boolean
}>()
const emit = defineEmits<{ read: [depth: string, place: string]; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const count = ref(countOf(props.from, reader.units))
const place = ref('')
const name = computed(() => props.title ?? t('spray.depth.pad'))
const text = computed(() => textOf(count.value, reader.units))
const steps = computed(() => {
  const [small, large] = STEPS[reader.units]
  return [-large, -small, small, large]
})

const move = (by: number) => (count.value = within(count.value + by, reader.units))
const label = (by: number) => `${by < 0 ? '−' : '+'}${textOf(Math.abs(by), reader.units)}`

// Whoever opened it with keys goes on with keys.
const value = useTemplateRef('value')
const pad = useTemplateRef('pad')
onMounted(() => {
  value.value?.focus({ preventScroll: true })
  // Its buttons are under the thumb, not behind the bar of the stages.
  pad.value?.scrollIntoView({ block: 'center' })
})

function key(event: KeyboardEvent) {
  if (event.key === 'Enter') {
    // Focus moves on: the same key would press what it comes to.
    event.preventDefault()
    return emit('read', text.value, place.value)
  }
  const [small, large] = STEPS[reader.units]
  const by = {
    ArrowUp: small,
    ArrowRight: small,
    ArrowDown: -small,
    ArrowLeft: -small,
    PageUp: large,
    PageDown: -large,
  }[event.key]
  if (!by) return
  event.preventDefault()
  move(by)
}
</script>

<template>
  <form ref="pad" class="pad" novalidate @keydown.esc="emit('cancel')" @submit.prevent="emit('read', text, place)">
    <h2>{{ name }}</h2>
    <p class="small">{{ t('spray.depth.needs', { needs }) }}</p>
    <output
      ref="value"
      class="value"
      tabindex="0"
      role="spinbutton"
      :aria-label="name"
      :aria-valuenow="count"
      :aria-valuetext="text"
      @keydown="key"
      >{{ text }}</output
    >
    <div class="steps">
      <button v-for="by in steps" :key="by" type="button" class="step" @click="move(by)">{{ label(by) }}</button>
    </div>
    <FormField
      v-if="!placed"
      v-model="place"
      name="place"
      :label="t('spray.depth.place')"
      :hint="t('spray.depth.placeExample')"
    />
    <p class="acts">
      <ElButton type="primary" native-type="submit" class="large">{{ t('spray.depth.save') }}</ElButton>
      <ElButton class="large" @click="emit('cancel')">{{ t('spray.depth.cancel') }}</ElButton>
    </p>
  </form>
</template>

<style scoped>
.pad {
  border: 2px solid var(--copper);
  border-radius: 10px;
  background: var(--sheet);
  padding: 10px 14px 14px;
  margin-bottom: 14px;
}
.value {
  display: block;
  font: 650 2.4rem var(--head);
  font-variant-numeric: tabular-nums;
  text-align: center;
  padding: 6px;
}
.steps {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
  margin-bottom: 10px;
}
.step {
  min-height: 64px;
  border: 1px solid var(--field-line);
  border-radius: 10px;
  background: var(--paper);
  color: inherit;
  font: 600 1.05rem var(--head);
  cursor: pointer;
}
.step:focus-visible,
.value:focus-visible {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
.acts {
  display: flex;
  gap: 10px;
  margin: 12px 0 0;
}
.large {
  min-height: 64px;
  flex: 1;
}
</style>
