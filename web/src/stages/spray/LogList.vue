<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useClock } from '@/shared/state/clock'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import PhotosOf from '@/shared/photos/PhotosOf.vue'
import FormField from '@/shared/ui/FormField.vue'
import { useEntryWords } from './entryWords'
import { historyOf, type Line } from './history'

/** The log, the newest first; what was corrected is shown with what it was. Nothing is removed. */
const props = defineProps<{
  job: string
  surface: string
  entries: readonly Schemas['LogEntryDocument'][]
  timeZone?: string | null
  locked: boolean
  waits: (id: string) => boolean
  /** What the entries read. */
  read?: readonly Schemas['EntryFigures'][]
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const words = useEntryWords(() => props.read)
const times = useTimesIn(() => props.timeZone)
const lines = computed(() => historyOf(props.entries))
const now = useClock(5_000)
const MINUTE_MS = 60_000
const SHOWN = 12
const opened = ref(false)
const shown = computed(() => (opened.value ? lines.value : lines.value.slice(0, SHOWN)))

const isFresh = ({ entry }: Line) => now.value.getTime() - Date.parse(entry.saidAt) < MINUTE_MS

// What can be typed again: a time everywhere, a depth where one was read.
const corrects = ref<string>()
const typed = ref<Record<string, string>>({})
function correct(line: Line) {
  corrects.value = line.root
  typed.value = {}
}
function save({ root, entry }: Line) {
  const fields = Object.fromEntries(Object.entries(typed.value).filter(([, text]) => text.trim()))
  if (!Object.keys(fields).length) return (corrects.value = undefined)
  // What is not typed again stays as it was; where the clock of the place is not known, a time is that of this device.
  const clockAhead = `${-new Date(entry.at).getTimezoneOffset()}`
  emit('say', { kind: entry.kind, replaces: root, clockAhead, ...fields })
  corrects.value = undefined
}
</script>

<template>
  <section class="log">
    <h2>{{ t('spray.log.title') }}</h2>
    <p v-if="!lines.length" class="quiet">{{ t('spray.log.none') }}</p>
    <ol>
      <li v-for="line in shown" :key="line.root" :class="{ gone: line.isGone }">
        <span class="told">
          <span
            >{{ words(line.entry) }}
            <span v-if="line.was" class="small quiet">{{ t('spray.log.corrected', { was: words(line.was) }) }}</span>
            <span v-if="line.isGone" class="small quiet">{{ t('spray.log.withdrawn') }}</span></span
          >
          <span class="small quiet"
            >{{ t('spray.log.by', { when: times.hour(line.entry.at), by: line.entry.by || t('spray.log.waits') }) }}
            <template v-if="line.entry.by && waits(line.last)">{{ t('spray.log.waits') }}</template></span
          >
        </span>
        <span v-if="!locked && !line.isGone" class="acts">
          <ElButton link type="primary" @click="emit('say', { kind: 'withdrawn', replaces: line.root })">{{
            t(isFresh(line) ? 'spray.log.undo' : 'spray.log.wrong')
          }}</ElButton>
          <ElButton link type="primary" @click="correct(line)">{{ t('spray.log.correct') }}</ElButton>
        </span>
        <PhotosOf
          v-if="!line.isGone && !waits(line.last)"
          :job="job"
          :about="{ surface, entry: line.root }"
          :word="t('spray.log.photo')"
          small
        />
        <form v-if="corrects === line.root" class="correct" novalidate @submit.prevent="save(line)">
          <FormField
            v-model="typed.time"
            name="time"
            :label="t('spray.log.time')"
            :hint="times.moment24(line.entry.at)"
          />
          <FormField
            v-if="line.entry.kind === 'depth'"
            v-model="typed.depth"
            name="depth"
            :label="t('spray.log.newDepth')"
            kind="length"
            :hint="reader.units === 'us' ? '2 1/8 in' : '54 mm'"
          />
          <ElButton type="primary" native-type="submit">{{ t('spray.log.save') }}</ElButton>
          <ElButton @click="corrects = undefined">{{ t('spray.log.cancel') }}</ElButton>
        </form>
      </li>
    </ol>
    <ElButton v-if="lines.length > shown.length" link type="primary" @click="opened = true">{{
      t('spray.log.all', { count: lines.length })
    }}</ElButton>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 0 14px;
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
.told {
  display: grid;
}
.gone .told > span:first-child {
  text-decoration: line-through;
}
.acts {
  display: flex;
  gap: 4px 14px;
}
.acts :deep(button) {
  min-height: 44px;
}
.correct {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  padding: 6px 0 10px;
}
</style>
