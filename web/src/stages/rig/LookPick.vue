<script setup lang="ts">
import { useId } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoamLook } from './foamPicture'
import FoamSketch from './FoamSketch.vue'

/** One thing that is seen of a shot, picked by what it looks like. Pressed again, it is not looked at. */
const props = defineProps<{
  field: string
  options: readonly string[]
  look: (value: string) => FoamLook
  disabled?: boolean
}>()
const value = defineModel<string | undefined>({ required: true })
const { t } = useI18n()
const id = useId()
const text = (option: string) =>
  t(/^(yes|no)$/.test(option) ? `rig.seen.${option}` : `rig.seen.${props.field}.${option}`)
</script>

<template>
  <div class="pick" role="group" :aria-labelledby="id">
    <h3 :id="id">{{ t(`rig.shot.field.${field}`) }}</h3>
    <button
      v-for="option in options"
      :key="option"
      type="button"
      class="option"
      :class="{ on: value === option }"
      :aria-pressed="value === option"
      :disabled="disabled"
      @click="value = value === option ? '' : option"
    >
      <FoamSketch :look="look(option)" />
      {{ text(option) }}
    </button>
  </div>
</template>

<style scoped>
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
h3 {
  flex-basis: 100%;
  margin: 6px 0 0;
  font-size: 0.95rem;
}
.option {
  border: 1px solid var(--line-2, var(--line));
  border-radius: 8px;
  background: var(--sheet);
  color: inherit;
  font: inherit;
  padding: 4px 5px;
  min-height: 48px;
  cursor: pointer;
  text-align: center;
}
.option.on {
  border-color: var(--copper);
  box-shadow: inset 0 0 0 2px var(--copper);
}
.option:focus-visible {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
.option :deep(.sketch) {
  width: 66px;
  height: 41px;
  margin: 0 auto;
}
@media (max-width: 700px) {
  .option {
    flex: 1 1 calc(33% - 8px);
  }
}
</style>
