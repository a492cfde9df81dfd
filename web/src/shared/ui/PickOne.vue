<script lang="ts">
/** One of the things that can be picked. */
export interface Choice {
  value: string
  text: string
  disabled?: boolean
}
</script>

<script setup lang="ts">
import type { ComponentPublicInstance } from 'vue'
import { computed, nextTick, onMounted, ref, useTemplateRef, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'

/** One of some, from a list that opens under it: by hand, or with the arrows and Enter. A long list is narrowed by typing. */
const props = defineProps<{
  label: string
  options: readonly Choice[]
  fault?: string
  /** Id of what is said about it. */
  described?: string
  /** Whether it opens as it appears. */
  opens?: boolean
}>()
const emit = defineEmits<{ closed: [] }>()
const value = defineModel<string | undefined>({ required: true })
const { t } = useI18n()

// Under a finger, typing brings up a keyboard over the list: it has to be worth it.
const LONG = window.matchMedia('(pointer: coarse)').matches ? 12 : 3
// Enter takes the first of those that are left, but not the first of all: whoever only opens the list keeps what is picked.
const narrows = ref(false)
const text = computed(() => props.options.find((one) => one.value === value.value)?.text)
// The library's field has no value of its own that could be read aloud.
const said = computed(() => (text.value ? t('app.picked', { label: props.label, value: text.value }) : props.label))

const select = useTemplateRef<ComponentPublicInstance & { focus: () => void }>('select')
// These the library does not pass on to the field.
watchEffect(
  () => {
    const field = (select.value?.$el as HTMLElement | undefined)?.querySelector('input')
    field?.setAttribute('aria-invalid', String(!!props.fault))
    if (props.described) field?.setAttribute('aria-describedby', props.described)
  },
  { flush: 'post' },
)
// The library's field notices that it has the focus only once it has settled.
onMounted(() => props.opens && void nextTick(() => select.value?.focus()))

function turned(opens: boolean) {
  if (opens) return
  narrows.value = false
  emit('closed')
}
defineExpose({ focus: () => select.value?.focus() })
</script>

<template>
  <ElSelect
    ref="select"
    v-model="value"
    class="pick-one"
    :class="{ wrong: fault }"
    :aria-label="said"
    :empty-values="[null, undefined]"
    :automatic-dropdown="opens"
    :persistent="false"
    :show-arrow="false"
    :offset="4"
    :default-first-option="narrows"
    :filterable="options.length > LONG"
    :placeholder="t('app.pick')"
    :no-match-text="t('app.pickNone')"
    :no-data-text="t('app.pickEmpty')"
    @beforeinput="narrows = true"
    @visible-change="turned"
  >
    <ElOption v-for="one in options" :key="one.value" :value="one.value" :label="one.text" :disabled="one.disabled" />
  </ElSelect>
</template>

<style scoped>
.wrong {
  --el-select-border-color-hover: var(--hold);
}
.wrong :deep(.el-select__wrapper) {
  box-shadow: 0 0 0 2px var(--hold) inset;
}
</style>
