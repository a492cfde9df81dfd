<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useEdits } from '@/shared/state/edits'
import { useSurfaces } from '@/shared/state/job'
import { useSession } from '@/shared/state/session'
import { useComplaints, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import type { Column } from '@/shared/ui/dataTable'
import SurveyFrame from '../SurveyFrame.vue'
import BuildingPanel from './BuildingPanel.vue'

/** Why they called, the surfaces suspected, and the figures that speak to it: now, and as planned. */
const props = defineProps<{ job: string }>()
type Complaint = Schemas['ComplaintAnswer']
const { t } = useI18n()
const session = useSession()
const complaints = useComplaints(() => props.job)
const surfaces = useSurfaces(() => props.job)
const edits = useSurveyEdits(() => props.job)
const { general } = useProblems()
const set = useEdits()

const locked = computed(() => !session.may('edit'))
const fault = ref('')
const kinds: Schemas['ComplaintKind'][] = [
  'coldFloor',
  'draught',
  'neverWarms',
  'neverCools',
  'coolingNeverRests',
  'bills',
  'damp',
  'iceAtEaves',
  'noise',
]
const offered = computed(() => kinds.map((value) => ({ value, text: t(`complaint.${value}`) })))
const next = ref({ kind: 'coldFloor', place: '', words: '' })

async function send(answer: Promise<Complaint[]>) {
  try {
    await answer
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}

async function add() {
  const path = { id: props.job }
  await send(
    edits.made('complaints', { ...next.value }, (body) =>
      ask(api.POST('/api/jobs/{id}/complaints', { params: { path }, body })),
    ),
  )
  if (!fault.value) next.value = { ...next.value, place: '', words: '' }
}

const placeOf = ({ id }: Complaint) => ({ kind: 'complaint', id, within: props.job })
const suspectsOf = (complaint: Complaint) =>
  set.textOf(placeOf(complaint), 'suspects', complaint.suspectIds.join(',')).split(',').filter(Boolean)

function suspect(complaint: Complaint, id: string, on: boolean) {
  const before = suspectsOf(complaint)
  const suspects = on ? [...before, id] : before.filter((one) => one !== id)
  return set.keep(placeOf(complaint), { suspects: suspects.join(',') })
}

const off = useTakeOff((id) =>
  send(edits.did('complaints', ask(api.DELETE('/api/complaints/{id}', { params: { path: { id } } })))),
)
const rows = (one: Complaint) => [
  ...one.suspects.flatMap((s) =>
    s.figures.map((f, i) => ({ key: s.surfaceId + f.figure, who: i === 0 ? s.name : '', figure: f })),
  ),
  ...one.building.map((f) => ({ key: f.figure, who: t('survey.complaints.building'), figure: f })),
]
const SIDES = ['now', 'planned'] as const
const columns = computed((): Column<ReturnType<typeof rows>[number]>[] => [
  { key: 'who', label: t('board.surface'), text: (row) => row.who },
  { key: 'figure', label: t('survey.complaints.figure'), text: (row) => t(`speaks.${row.figure.figure}`) },
  ...SIDES.map((key) => ({ key, label: t(`survey.drive.${key}`), figure: true })),
])
</script>

<template>
  <SurveyFrame :job="job" wide>
    <h1 class="visually-hidden">{{ t('survey.page.complaints') }}</h1>
    <p class="quiet lead">{{ t('survey.complaints.lead') }}</p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <ProblemNote v-if="complaints.error.value" :problem="complaints.error.value" @retry="complaints.refetch()" />
    <ElSkeleton v-else-if="!complaints.data.value" :rows="6" animated />
    <template v-else>
      <p v-if="complaints.data.value.length === 0" class="quiet">{{ t('survey.complaints.none') }}</p>
      <article v-for="one in complaints.data.value.filter((c) => !off.gone(c.id))" :key="one.id">
        <header>
          <h2>
            {{ t(`complaint.${one.kind}`) }}<template v-if="one.place">, {{ one.place }}</template>
          </h2>
          <ElButton
            v-if="!locked"
            link
            type="primary"
            :aria-label="t('survey.complaints.remove')"
            @click="off.takeOff(one.id, t(`complaint.${one.kind}`))"
          >
            ×
          </ElButton>
        </header>
        <p v-if="one.words" class="words">{{ one.words }}</p>
        <FoldBox class="no-print" :title="t('survey.complaints.suspects', { count: one.suspects.length })">
          <ElCheckbox
            v-for="s in surfaces.data.value"
            :key="s.id"
            :model-value="suspectsOf(one).includes(s.id)"
            :disabled="locked"
            @change="suspect(one, s.id, !!$event)"
          >
            {{ s.name }}
          </ElCheckbox>
        </FoldBox>
        <DataTable
          v-if="rows(one).length"
          :label="t(`complaint.${one.kind}`)"
          :columns="columns"
          :rows="rows(one)"
          :by="(row) => row.key"
        >
          <template v-for="side in SIDES" :key="side" #[side]="{ row }">
            <FigureText v-if="row.figure[side]" :figure="row.figure[side].figure" :working="row.figure[side].working" />
            <template v-else>–</template>
          </template>
        </DataTable>
        <p v-else class="small quiet">
          {{ t(one.suspectIds.length ? 'survey.complaints.silent' : 'survey.complaints.noSuspect') }}
        </p>
      </article>
      <TakenOff :off="off" />
      <form v-if="!locked" novalidate @submit.prevent="add">
        <PickField v-model="next.kind" :label="t('survey.complaints.kind')" :options="offered" />
        <FormField v-model="next.place" :label="t('survey.complaints.place')" maxlength="120" />
        <FormField v-model="next.words" class="wide" :label="t('survey.complaints.words')" maxlength="500" />
        <ElButton native-type="submit">{{ t('survey.complaints.add') }}</ElButton>
      </form>
      <BuildingPanel :job="job" :locked="locked" />
    </template>
  </SurveyFrame>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 14px;
}
article {
  padding: 14px 0 18px;
  border-bottom: 1px solid var(--line);
}
header {
  display: flex;
  justify-content: space-between;
}
.words {
  font-style: italic;
}
.el-collapse .el-checkbox {
  margin-right: 20px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  padding: 18px 0;
}
.field {
  width: 200px;
}
.wide {
  flex: 1 1 280px;
}
</style>
