<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { ApiProblem } from '../shared/api/client'
import { useProblems } from '../shared/figures/problems'
import { useSession } from '../shared/state/session'
import FormField from '@/shared/ui/FormField.vue'

const emit = defineEmits<{ done: [] }>()
const props = defineProps<{ startWith?: string }>()
const session = useSession()
const { general } = useProblems()
const { t } = useI18n()
const name = ref(props.startWith ?? '')
const password = ref('')
const code = ref('')
const asksCode = ref(false)
const codeInput = useTemplateRef('codeInput')
const note = ref('')
const fault = ref('')
const busy = ref(false)

async function go() {
  fault.value = !name.value.trim() || !password.value ? t('signIn.both') : ''
  if (!fault.value && asksCode.value && !code.value.trim()) fault.value = t('signIn.codeEmpty')
  if (fault.value) return
  note.value = ''
  busy.value = true
  try {
    await session.signIn(name.value, password.value, asksCode.value ? code.value : undefined)
    emit('done')
  } catch (cause) {
    await answer(cause)
  } finally {
    busy.value = false
  }
}
// That a code is due is no fault. One that has to wait, or gets no answer, goes on where they were.
async function answer(cause: unknown) {
  const needsCode = cause instanceof ApiProblem && cause.needsCode
  ;(needsCode && !asksCode.value ? note : fault).value = general(cause)
  if (!(cause instanceof ApiProblem) || cause.status !== 401) return
  asksCode.value = needsCode
  code.value = ''
  await nextTick()
  codeInput.value?.focus()
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="go">
    <FormField
      v-model="name"
      :label="t('signIn.name')"
      autocomplete="username"
      autofocus
      :aria-invalid="fault !== '' && !asksCode"
    />
    <FormField
      v-model="password"
      :label="t('signIn.password')"
      secret="current"
      :aria-invalid="fault !== '' && !asksCode"
    />
    <p v-if="note" role="status">{{ note }}</p>
    <FormField
      v-if="asksCode"
      ref="codeInput"
      v-model="code"
      :label="t('signIn.code')"
      code
      :hint="t('signIn.codeHint')"
      :aria-invalid="fault !== ''"
    />
    <p class="fault" role="alert">{{ fault }}</p>
    <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('signIn.go') }}</ElButton>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 14px;
  justify-items: stretch;
}
.fault:empty {
  display: none;
}
</style>
