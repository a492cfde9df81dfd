<script setup lang="ts">
import FoldBox from '@/shared/ui/FoldBox.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useSaving } from '@/shared/state/saving'
import { useSession } from '@/shared/state/session'
import { useSurveyEdits } from '@/shared/state/survey'
import SurveyFrame from '../SurveyFrame.vue'
import ColumnMapping from './ColumnMapping.vue'
import FileButton from '@/shared/ui/FileButton.vue'
import ImportRows from './ImportRows.vue'

/** Surfaces in from a table or a model, and out again. Nothing is written until it is accepted. */
const props = defineProps<{ job: string }>()
type Import = Schemas['ImportAnswer']
const MOST_MEGABYTES = 16
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const edits = useSurveyEdits(() => props.job)
const { general } = useProblems()

const found = ref<Import | null>(null)
const file = ref<{ name: string; content: string; model: boolean } | null>(null)
const brought = ref<string[]>([])
const fault = ref('')
const busy = ref(false)
const saving = useSaving()
const outs = computed(() => [
  { word: 'CSV', path: `/api/jobs/${props.job}/surfaces.csv?units=${reader.units}` },
  { word: 'XLSX', path: `/api/jobs/${props.job}/surfaces.xlsx?units=${reader.units}` },
  { word: t('survey.exchange.jobFile'), path: `/api/jobs/${props.job}/file` },
])
const path = computed(() => ({ params: { path: { id: props.job } } }))
const ready = computed(() => found.value !== null && found.value.faulty === 0 && found.value.rows.length > 0)

async function base64(blob: Blob) {
  const url = await new Promise<string>((done, fail) => {
    const readOf = new FileReader()
    readOf.onload = () => done(readOf.result as string)
    readOf.onerror = () => fail(readOf.error ?? new Error())
    readOf.readAsDataURL(blob)
  })
  return url.slice(url.indexOf(',') + 1)
}

async function run(step: () => Promise<Import>) {
  busy.value = true
  try {
    found.value = await step()
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  } finally {
    busy.value = false
  }
}

async function open([picked]: File[]) {
  if (!picked) return
  found.value = null
  brought.value = []
  if (picked.size > MOST_MEGABYTES * 1024 * 1024) {
    fault.value = t('problem.file.tooLarge', {
      name: picked.name,
      size: (picked.size / 1048576).toFixed(0),
      most: MOST_MEGABYTES,
    })
    return
  }
  const model = /\.(xml|gbxml)$/i.test(picked.name)
  file.value = { name: picked.name, content: await base64(picked), model }
  await run(() =>
    model
      ? ask(api.POST('/api/jobs/{id}/imports/model', { ...path.value, body: { content: file.value!.content } }))
      : table(null, null),
  )
}

const table = (columns: Schemas['ColumnMap'][] | null, decimalComma: boolean | null) =>
  ask(
    api.POST('/api/jobs/{id}/imports/table', {
      ...path.value,
      body: { content: file.value!.content, units: reader.units, columns, decimalComma },
    }),
  )

const remap = (columns: Schemas['ColumnMap'][], comma: boolean) => run(() => table(columns, comma))

// Cells mended on the screen are checked again by the same rules; what else is known of the file stays.
async function check(rows: Schemas['CheckedRow'][]) {
  const before = found.value!
  await run(async () => {
    const body = { units: before.units, rows: rows.map(({ line, fields, note }) => ({ line, fields, note })) }
    const after = await ask(api.POST('/api/jobs/{id}/imports/check', { ...path.value, body }))
    return { ...before, rows: after.rows, faulty: after.faulty, area: after.area }
  })
}

async function accept() {
  const now = found.value!
  await run(async () => {
    const body = {
      units: now.units,
      rows: now.rows.map(({ line, fields, note }) => ({ line, fields, note })),
      columns: now.columns,
    }
    const after = await edits.then(
      once('import', [props.job, body], (command) =>
        ask(api.POST('/api/jobs/{id}/imports/accept', { params: { ...path.value.params, query: { command } }, body })),
      ),
    )
    brought.value = after.added
    return after.added.length ? (null as unknown as Import) : { ...now, rows: after.rows, faulty: after.faulty }
  })
}

async function takeBack() {
  const ids = brought.value
  await edits.then(ask(api.POST('/api/jobs/{id}/surfaces/remove', { ...path.value, body: { ids } })))
  brought.value = []
}
</script>

<template>
  <SurveyFrame :job="job" wide>
    <h1 class="visually-hidden">{{ t('survey.page.exchange') }}</h1>
    <section v-if="session.may('edit')" class="in">
      <h2>{{ t('survey.exchange.in') }}</h2>
      <p class="quiet">{{ t('survey.exchange.inLead') }}</p>
      <FileButton accept=".csv,.txt,.tsv,.xlsx,.xml,.gbxml" main @files="open">{{
        t('survey.exchange.open')
      }}</FileButton>
      <span v-if="busy" class="quiet" role="status">{{ t('app.loading') }}</span>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <p v-if="brought.length" class="brought" role="status">
        {{ t('survey.exchange.brought', { count: brought.length }) }}
        <RouterLink class="act" :to="{ name: 'survey', params: { job } }">{{ t('survey.page.survey') }}</RouterLink>
        <ElButton link type="primary" @click="takeBack">{{ t('app.undo') }}</ElButton>
      </p>
      <template v-if="found && file">
        <h3>{{ file.name }}</h3>
        <ColumnMapping v-if="!file.model" :key="file.name + found.columns.length" :found="found" @change="remap" />
        <p class="sum">
          {{
            t('survey.exchange.sum', { count: found.rows.length, area: reader.print(found.area), faulty: found.faulty })
          }}
        </p>
        <FoldBox v-if="found.skipped.length" :title="t('survey.exchange.skipped', { count: found.skipped.length })">
          <ul>
            <li v-for="one in found.skipped" :key="one.number">
              {{
                t('survey.exchange.skippedOne', {
                  number: one.number,
                  name: one.name,
                  reason: t(`survey.exchange.reason.${one.reason}`),
                })
              }}
            </li>
          </ul>
        </FoldBox>
        <ImportRows :found="found" :busy="busy" @check="check" />
        <p class="accept">
          <ElButton type="primary" :disabled="!ready || busy" @click="accept">
            {{ t('survey.exchange.accept', { count: found.rows.length }) }}
          </ElButton>
          <ElButton link type="primary" @click="found = null">{{ t('app.cancel') }}</ElButton>
          <span v-if="found.faulty" class="quiet">{{ t('survey.exchange.mendFirst') }}</span>
        </p>
      </template>
    </section>
    <section>
      <h2>{{ t('survey.exchange.out') }}</h2>
      <p class="quiet">{{ t('survey.exchange.outLead') }}</p>
      <p v-if="saving.fault.value" class="fault" role="alert">{{ saving.fault.value }}</p>
      <p class="outs">
        <ElButton v-for="out in outs" :key="out.path" :disabled="saving.busy.value" @click="saving.saveFrom(out.path)">
          {{ out.word }}
        </ElButton>
        <a class="act" href="/api/schemas/job" target="_blank" rel="noopener">{{ t('survey.exchange.schema') }}</a>
      </p>
    </section>
  </SurveyFrame>
</template>

<style scoped>
section + section {
  margin-top: 34px;
}
.in > .el-button {
  margin: 10px 12px 10px 0;
}
h3 {
  margin: 12px 0;
}
.sum {
  font-weight: 650;
  margin: 12px 0 6px;
}
.brought {
  border-left: 4px solid var(--clear);
  padding: 10px 14px;
  background: var(--sheet);
  display: flex;
  gap: 18px;
  align-items: center;
}
.accept,
.outs {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  margin-top: 14px;
}
</style>
