<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { upload, type Schemas } from '@/shared/api/client'
import { uploadOnce } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import FileButton from '@/shared/ui/FileButton.vue'

/** Finished jobs from a table: read and shown first, taken whole or not at all. */
const emit = defineEmits<{ taken: [] }>()
const { t } = useI18n()
const reader = useReader()
const { general } = useProblems()
const file = ref<{ blob: File; read: Schemas['PastJobsImport'] } | null>(null)
const fault = ref('')

// Looked at as often as one likes; taken once.
const send = (blob: File, taken: boolean) =>
  (taken ? uploadOnce : upload)<Schemas['PastJobsImport']>(
    `/api/past-jobs/import?units=${reader.units}&take=${taken}`,
    blob,
    32,
  )

async function read([blob]: File[]) {
  if (!blob) return
  try {
    file.value = { blob, read: await send(blob, false) }
    fault.value = ''
  } catch (cause) {
    file.value = null
    fault.value = general(cause)
  }
}

async function take() {
  if (!file.value) return
  try {
    file.value = { ...file.value, read: await send(file.value.blob, true) }
    if (file.value.read.taken) emit('taken')
  } catch (cause) {
    fault.value = general(cause)
  }
}
</script>

<template>
  <FileButton accept=".csv,.xlsx,.txt" @files="read">{{ t('past.import') }}</FileButton>
  <p class="fault" role="alert">{{ fault }}</p>
  <div v-if="file" class="import" role="status">
    <p>
      {{
        file.read.taken
          ? t('past.taken', file.read.jobs)
          : t('past.read', { count: file.read.jobs, faults: file.read.faults.length })
      }}
    </p>
    <ul>
      <li v-for="(one, i) in file.read.faults" :key="i" class="fault">
        {{ t('past.line', { line: one.line, sentence: one.sentence }) }}
      </li>
    </ul>
    <ElButton v-if="!file.read.taken && !file.read.faults.length && file.read.jobs" @click="take">
      {{ t('past.take', file.read.jobs) }}
    </ElButton>
    <ElButton link type="primary" @click="file = null">{{ t('past.close') }}</ElButton>
    <p v-if="file.read.faults.length" class="small quiet">{{ t('past.columns') }}</p>
  </div>
</template>

<style scoped>
.fault:empty {
  display: none;
}
.fault,
.import {
  flex-basis: 100%;
}
.import {
  border-left: 4px solid var(--line);
  padding-left: 12px;
  margin-bottom: 14px;
}
</style>
