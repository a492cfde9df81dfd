<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import FirmNav from '@/firm/FirmNav.vue'
import type { Schemas } from '@/shared/api/client'
import { uploadOnce } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import AppBar from '@/shared/ui/AppBar.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import FileButton from '@/shared/ui/FileButton.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import type { Column } from '@/shared/ui/dataTable'
import { useSheets } from './sheets'

/** The firm's product sheets: what it sprays, each in the edition that stands. */
type Summary = Schemas['SheetSummary']
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const router = useRouter()
const queries = useQueryClient()
const { general, byField } = useProblems()
const sheets = useSheets()
const mayEdit = computed(() => session.may('edit'))
const MOST_MEGABYTES = 1

const busy = ref(false)
const fault = ref('')
const came = ref('')
async function bringIn([file]: File[]) {
  if (!file) return
  busy.value = true
  fault.value = came.value = ''
  try {
    const { became, sheet } = await uploadOnce<Schemas['SheetBroughtIn']>('/api/sheets/file', file, MOST_MEGABYTES)
    for (const key of ['sheets', 'choices', 'supplies']) void queries.invalidateQueries({ queryKey: [key] })
    if (became === 'same')
      came.value = t('sheets.file.same', { name: sheet.summary.name, edition: sheet.summary.edition })
    else await router.push({ name: 'sheet', params: { sheet: sheet.summary.id } })
  } catch (cause) {
    fault.value = Object.values(byField(cause))[0] ?? general(cause)
  } finally {
    busy.value = false
  }
}

const columns = computed((): Column<Summary>[] => [
  { key: 'name', label: t('sheets.line.name') },
  {
    key: 'foam',
    label: t('sheets.col.foam'),
    text: ({ cell, grade }) =>
      t('sheets.foam', {
        cell: t(`sheets.word.${cell}`),
        grade: t(`sheets.word.${grade}`),
      }),
  },
  { key: 'edition', label: t('sheets.line.edition'), text: ({ edition }) => edition },
  {
    key: 'lift',
    label: t('sheets.line.lift.greatestIn'),
    figure: true,
    text: ({ greatestLift }) => reader.print(greatestLift),
  },
  { key: 'yield', label: t('sheets.line.yieldBoardFeet'), figure: true, text: (one) => reader.print(one.yield) },
  {
    key: 'origin',
    label: t('sheets.col.origin'),
    text: ({ origin, retired }) => (retired ? t('sheets.retired') : t(`sheets.origin.${origin}`)),
  },
])
</script>

<template>
  <AppBar :title="t('sheets.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('sheets.title') }}</h1>
    <p class="quiet lead">{{ t('sheets.lead') }}</p>
    <div v-if="mayEdit" class="acts no-print">
      <ElButton type="primary" @click="router.push({ name: 'sheetNew' })">{{ t('sheets.new') }}</ElButton>
      <FileButton accept=".json,application/json" :disabled="busy" @files="bringIn">
        {{ busy ? t('sheets.file.reading') : t('sheets.file.in') }}
      </FileButton>
      <a class="act quiet" href="/api/schemas/product-sheet" target="_blank" rel="noopener">{{
        t('sheets.file.schema')
      }}</a>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-if="came" role="status">{{ came }}</p>
    <ProblemNote v-if="sheets.error.value" :problem="sheets.error.value" @retry="sheets.refetch()" />
    <ElSkeleton v-else-if="!sheets.data.value" :rows="6" animated />
    <p v-else-if="!sheets.data.value.length" class="empty">{{ t('sheets.empty') }}</p>
    <DataTable
      v-else
      :label="t('sheets.title')"
      :columns="columns"
      :rows="sheets.data.value"
      :by="({ id }) => id"
      :row-class="({ retired }) => (retired ? 'out' : '')"
    >
      <template #name="{ row }">
        <RouterLink class="act" :to="{ name: 'sheet', params: { sheet: row.id } }">{{ row.name }}</RouterLink>
        <span class="maker quiet small">{{ row.maker }}</span>
      </template>
    </DataTable>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  margin: 14px 0;
}
.maker {
  display: block;
}
.empty {
  padding: 20px 0;
}
</style>
