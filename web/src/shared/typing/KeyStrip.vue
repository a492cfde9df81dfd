<script setup lang="ts">
import { nextTick, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '../state/reader'
import { keysOf, typedKey, type TypedKind } from './fieldKeys'

/** The keys that the digits of a phone lack, above its keyboard while a field for numbers is in focus. */
const { t } = useI18n()
const reader = useReader()
const field = shallowRef<HTMLInputElement | null>(null)
const kind = ref<TypedKind>('number')
const bottom = ref(0)

// Letters are a keyboard away for whoever types "3 m" where inches are read.
const letters = ref(false)

function entered(event: FocusEvent) {
  const to = event.target as HTMLInputElement
  const wanted = to.dataset?.keys as TypedKind | undefined
  field.value = wanted ? to : null
  if (!wanted) return
  kind.value = wanted
  letters.value = to.inputMode === 'text'
  place()
}
function left(event: FocusEvent) {
  if (event.target === field.value) field.value = null
}

// What a keyboard covers is no part of the visual viewport.
function place() {
  const seen = window.visualViewport
  bottom.value = seen ? Math.max(0, window.innerHeight - seen.offsetTop - seen.height) : 0
}

async function press(key: string) {
  const to = field.value
  if (!to) return
  const end = to.value.length
  const now = typedKey(to.value, to.selectionStart ?? end, to.selectionEnd ?? end, key)
  to.value = now.text
  to.dispatchEvent(new Event('input', { bubbles: true }))
  await nextTick()
  to.setSelectionRange(now.at, now.at)
}

function switchKeyboard() {
  const to = field.value
  if (!to) return
  letters.value = !letters.value
  to.inputMode = letters.value ? 'text' : 'decimal'
}

onMounted(() => {
  document.addEventListener('focusin', entered)
  document.addEventListener('focusout', left)
  window.visualViewport?.addEventListener('resize', place)
  window.visualViewport?.addEventListener('scroll', place)
})
onBeforeUnmount(() => {
  document.removeEventListener('focusin', entered)
  document.removeEventListener('focusout', left)
  window.visualViewport?.removeEventListener('resize', place)
  window.visualViewport?.removeEventListener('scroll', place)
})
</script>

<template>
  <!-- A press must not take the field's focus: the keyboard would go. -->
  <div
    v-if="field"
    class="strip no-print"
    role="toolbar"
    :aria-label="t('app.keyStrip')"
    :style="{ bottom: `${bottom}px` }"
    @pointerdown.prevent
    @mousedown.prevent
  >
    <ElButton v-for="key in keysOf(kind, reader.units)" :key="key" tabindex="-1" @click="press(key)">{{
      key
    }}</ElButton>
    <ElButton tabindex="-1" :aria-pressed="letters" @click="switchKeyboard">{{ t('app.letters') }}</ElButton>
  </div>
</template>

<style scoped>
.strip {
  position: fixed;
  left: 0;
  right: 0;
  z-index: 3000;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 6px;
  background: var(--sheet);
  border-top: 1px solid var(--line);
}
.strip .el-button {
  flex: 1 0 44px;
  padding: 4px;
  border-radius: 6px;
}
</style>
