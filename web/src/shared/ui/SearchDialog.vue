<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import type { InputInstance } from 'element-plus'
import { computed, ref, useId, useTemplateRef, watch, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'
import { api, ask, type Schemas } from '../api/client'
import { useProblems } from '../figures/problems'

/** Finds jobs, surfaces and products by words, and goes there. A surface opens at the stage one is at. */
const shown = defineModel<boolean>({ required: true })
/** Gives what was typed before it had come. */
const props = defineProps<{ come: () => string }>()
interface Found {
  id: string
  name: string
  kind: string
  to: RouteLocationRaw
}

const { t } = useI18n()
const { general } = useProblems()
const [route, router] = [useRoute(), useRouter()]
const words = ref('')
const sought = refDebounced(words, 150)
const field = useTemplateRef<InputInstance>('field')
const list = useId()

const job = computed(() => (route.params.job as string | undefined) || undefined)
const answer = useQuery({
  queryKey: ['search', sought, job],
  queryFn: () => ask(api.GET('/api/search', { params: { query: { words: sought.value, job: job.value } } })),
  enabled: () => shown.value && sought.value.trim() !== '',
  placeholderData: keepPreviousData,
  staleTime: 5_000,
})

const ofJob = ({ id, name, archived }: Schemas['FoundJob']): Found => ({
  id,
  name,
  kind: t(archived ? 'search.kind.archived' : 'search.kind.job'),
  to: { name: 'board', params: { job: id } },
})
const ofSurface = ({ id, name, jobId, job: of }: Schemas['FoundSurface']): Found => ({
  id,
  name,
  kind: t('search.kind.surface', { job: of }),
  to: { name: route.params.surface ? route.name! : 'surfaceSheet', params: { job: jobId, surface: id } },
})
const ofSheet = ({ id, name, maker }: Schemas['FoundSheet']): Found => ({
  id,
  name,
  kind: t('search.kind.sheet', { maker }),
  to: { name: 'sheet', params: { sheet: id } },
})
const found = computed(() => {
  const { jobs, surfaces, sheets } = (sought.value.trim() && answer.data.value) || {
    jobs: [],
    surfaces: [],
    sheets: [],
  }
  return [...jobs.map(ofJob), ...surfaces.map(ofSurface), ...sheets.map(ofSheet)]
})
const isNothing = computed(
  () => answer.data.value && !answer.isFetching.value && sought.value.trim() !== '' && !found.value.length,
)

// The one Enter goes to.
const at = ref(0)
watch(found, () => (at.value = 0))
function step(by: number) {
  at.value = Math.min(Math.max(0, at.value + by), found.value.length - 1)
  document.getElementById(`${list}-${at.value}`)?.scrollIntoView({ block: 'nearest' })
}

// This the library does not pass on to the field.
watchEffect(() => field.value?.input?.setAttribute('role', 'combobox'), { flush: 'post' })
// After the dialog itself has taken the focus.
const focusField = () =>
  setTimeout(() => {
    field.value?.focus()
    words.value = props.come()
  })

async function go(to: RouteLocationRaw | undefined) {
  if (!to) return
  shown.value = false
  await router.push(to)
}

// Who types fast presses Enter before the last word is answered: it holds for the answer to come.
const isAnswered = () => sought.value === words.value && !answer.isFetching.value
const waits = ref(false)
watch(words, () => (waits.value = false))
function enter() {
  waits.value = !isAnswered()
  if (!waits.value) void go(found.value[at.value]?.to)
}
watch([found, answer.isFetching], () => {
  if (waits.value && isAnswered()) enter()
})
</script>

<template>
  <ElDialog
    v-model="shown"
    :title="t('search.label')"
    width="min(560px, 94vw)"
    top="8vh"
    append-to-body
    @open-auto-focus="focusField"
    @closed="words = ''"
  >
    <ElInput
      ref="field"
      v-model="words"
      autocomplete="off"
      maxlength="120"
      aria-autocomplete="list"
      :aria-label="t('search.label')"
      :aria-expanded="found.length > 0"
      :aria-controls="list"
      :aria-activedescendant="found.length ? `${list}-${at}` : undefined"
      :placeholder="t('search.example')"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.enter="enter"
    />
    <ul :id="list" role="listbox" :aria-label="t('search.label')">
      <li
        v-for="(one, i) in found"
        :id="`${list}-${i}`"
        :key="one.id"
        role="option"
        :aria-selected="i === at"
        @click="go(one.to)"
      >
        <b>{{ one.name }}</b> <span class="quiet">{{ one.kind }}</span>
      </li>
    </ul>
    <p role="status" class="quiet">
      <template v-if="answer.error.value">{{ general(answer.error.value) }}</template>
      <template v-else-if="isNothing">{{ t('search.none') }}</template>
    </p>
  </ElDialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  max-height: 56vh;
  overflow-y: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: center;
  min-height: 44px;
  padding: 4px 10px;
  cursor: pointer;
}
li[aria-selected='true'],
li:hover {
  background: var(--in-hand);
}
p:empty {
  display: none;
}
</style>
