<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../api/client'
import { useFieldNames } from '../figures/fieldNames'
import { useProblems } from '../figures/problems'
import { connection } from '../keeping/connection'
import { decide, discard, sendAll } from '../keeping/editor'
import type { Entry } from '../keeping/entries'
import { placeOf } from '../keeping/kinds'
import { choiceIn, saidOfFace } from '../keeping/records/surface'
import { unsent, type Unsent } from '../keeping/unsent'
import { useReader } from '../state/reader'
import { theirsOf } from '../state/typed'

/** What was entered and has not been taken yet: sent now, decided where two people met, or let go. */
const emit = defineEmits<{ close: [] }>()
const { t, te } = useI18n()
const { listed } = useWriting()
const fieldName = useFieldNames()
const reader = useReader()
const queries = useQueryClient()
const { ofRefused } = useProblems()

const jobs = computed(() => queries.getQueryData<Schemas['JobCard'][]>(['jobs']) ?? [])
const jobOf = ({ within }: Unsent) => jobs.value.find((one) => one.job.id === within)?.job.name ?? ''

function nameOf(one: Unsent) {
  const kind = t(te(`unsent.kind.${one.kind}`) ? `unsent.kind.${one.kind}` : 'unsent.kind.form')
  const id = one.record.slice(one.kind.length + 1).split('/')[0]
  const board = queries.getQueryData<Schemas['BoardAnswer']>(['job', one.within, 'board'])
  const name = one.fields[0]?.entry.called ?? board?.rows.find((row) => row.id === id)?.name
  return listed(
    [jobOf(one) || board?.job.name, name, name && one.kind === 'surface' ? '' : kind].filter(
      (part) => !!part,
    ) as string[],
  )
}

// A system is told by its name where it is at hand.
function said(one: Unsent, field: string, text: string) {
  if (field === 'face.thickness') return saidOfFace(text)
  if (field !== 'choice.system') return text || t('problem.conflict.blank')
  const [id, reason] = choiceIn(text)
  const choice = queries.getQueryData<Schemas['ChoiceOfSurface']>(['surface', placeOf(one.record)!.id, 'choose'])
  const kind = choice?.answer.candidates.find((candidate) => candidate.id === id)?.kind
  const system = kind ? t(`candidate.${kind}`) : t(id ? 'unsent.aSystem' : 'unsent.noSystem')
  return [system, reason].filter(Boolean).join(': ')
}

function why(one: Unsent, field: string, entry: Entry) {
  const refused = ofRefused(entry)
  if (refused) return refused
  if (entry.state === 'met') return t('unsent.met', { theirs: said(one, field, theirsOf(entry, reader.units)) })
  return t(entry.state === 'waits' ? 'unsent.waits' : 'unsent.typed')
}

const settle = (one: Unsent, field: string, which: 'mine' | 'theirs') =>
  decide(placeOf(one.record, one.within)!, field, which)
const letGo = (one: Unsent) => discard((record) => record === one.record)
</script>

<template>
  <ElDialog
    :model-value="true"
    :title="t('unsent.title')"
    width="min(720px, 96vw)"
    append-to-body
    @close="emit('close')"
  >
    <p class="lead">{{ t(connection.lost ? `problem.waits.${connection.why}` : 'unsent.lead') }}</p>
    <p v-if="unsent.length === 0" role="status">{{ t('unsent.none') }}</p>
    <section v-for="one in unsent" :key="one.record">
      <header>
        <h3>{{ nameOf(one) }}</h3>
        <ElButton @click="letGo(one)">{{ t('unsent.discard') }}</ElButton>
      </header>
      <ul>
        <li v-for="{ field, entry } in one.fields" :key="field">
          <b>{{ fieldName(field) }}</b> {{ said(one, field, entry.text) }}
          <span class="small" :class="entry.state === 'waits' || entry.state === 'typed' ? 'quiet' : 'fault'">{{
            why(one, field, entry)
          }}</span>
          <span v-if="entry.state === 'met'" class="decide">
            <ElButton @click="settle(one, field, 'mine')">
              {{ t('problem.conflict.mine') }}
            </ElButton>
            <ElButton @click="settle(one, field, 'theirs')">
              {{ t('problem.conflict.theirs') }}
            </ElButton>
          </span>
        </li>
      </ul>
    </section>
    <template #footer>
      <ElButton @click="emit('close')">{{ t('app.close') }}</ElButton>
      <ElButton v-if="unsent.length" type="primary" @click="sendAll(reader.units)">
        {{ t('unsent.sendNow') }}
      </ElButton>
    </template>
  </ElDialog>
</template>

<style scoped>
.lead {
  margin-bottom: 10px;
}
section {
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
h3 {
  font-size: 1rem;
}
ul {
  padding-left: 18px;
  margin: 4px 0;
}
li {
  margin: 4px 0;
  overflow-wrap: anywhere;
}
.decide {
  display: inline-flex;
  gap: 8px;
  margin-left: 8px;
}
.el-dialog__footer .el-button + .el-button {
  margin-left: 8px;
}
</style>
