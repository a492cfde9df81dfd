<script setup lang="ts">
import { computed, nextTick } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import FirmNav from '@/firm/FirmNav.vue'
import AppBar from '@/shared/ui/AppBar.vue'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import CurveFields from './CurveFields.vue'
import { keysFor, PARTS, useSheets } from './sheets'
import { useSheetForm } from './useSheetForm'

/** A product sheet typed in: a new one, a copy of another, or the next edition of one there is. */
const props = defineProps<{ sheet?: string; from?: string }>()
const { t } = useI18n()
const router = useRouter()
const form = useSheetForm(
  () => props.sheet ?? '',
  () => props.from ?? '',
)
const sheets = useSheets()
const name = computed(() => form.begun.data.value?.summary.name ?? '')
const title = computed(() => (props.sheet ? t('sheets.form.edition', { name: name.value }) : t('sheets.form.new')))
const starts = computed(() => [
  { value: '', text: t('sheets.form.nothing') },
  ...(sheets.data.value ?? []).map(({ id, name: text }) => ({ value: id, text })),
])
const start = computed({
  get: () => props.from ?? '',
  set: (from) => void router.replace({ name: 'sheetNew', query: from ? { from } : {} }),
})
const parts = computed(() =>
  PARTS.map((part) => ({
    part,
    lines: form.lines.value.filter((line) => line.part === part),
    curves: form.blankCurves.value.filter((curve) => curve.part === part),
  })),
)
const drawnOf = (path: string) => form.curves.value.find((curve) => curve.path === path)!
const count = computed(() => Object.keys(form.faults.value).length)

async function save() {
  const kept = await form.save()
  if (kept) return router.push({ name: 'sheet', params: { sheet: kept.summary.id } })
  await nextTick()
  document.querySelector<HTMLElement>('.sheet-form [aria-invalid="true"]')?.focus()
}
async function cancel() {
  form.clear()
  await router.push(props.sheet ? { name: 'sheet', params: { sheet: props.sheet } } : { name: 'sheets' })
}
</script>

<template>
  <AppBar :title="t('sheets.title')" :title-to="{ name: 'sheets' }" :page="title" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ title }}</h1>
    <p class="quiet lead">{{ t(sheet ? 'sheets.form.editionLead' : 'sheets.form.newLead') }}</p>
    <PickField
      v-if="!sheet"
      v-model="start"
      class="start"
      :label="t('sheets.form.from')"
      :options="starts"
      :disabled="!sheets.data.value"
    />
    <ProblemNote v-if="form.begun.error.value" :problem="form.begun.error.value" @retry="form.begun.refetch()" />
    <ProblemNote
      v-else-if="form.failed.value && !form.lines.value.length"
      :problem="form.failed.value"
      @retry="form.retry()"
    />
    <ElSkeleton v-else-if="!form.lines.value.length" :rows="10" animated />
    <form v-else class="sheet-form" novalidate @submit.prevent="save">
      <section v-for="{ part, lines, curves } in parts" :key="part">
        <h2>{{ t(`sheets.part.${part}`) }}</h2>
        <div class="lines">
          <template v-for="line in lines" :key="line.path">
            <PickField
              v-if="line.words.length"
              v-model="form.values[line.path]"
              :label="t(`sheets.line.${line.path}`)"
              :options="line.words.map((value) => ({ value, text: t(`sheets.word.${value}`) }))"
              :fault="form.faults.value[line.path]"
            />
            <FormField
              v-else
              v-model="form.values[line.path]"
              :label="t(`sheets.line.${line.path}`)"
              :kind="keysFor(line)"
              :note="line.mayBeBlank ? t('sheets.form.mayBeBlank') : undefined"
              :fault="form.faults.value[line.path] ?? form.faults.value[line.path.split('.')[0]!]"
            />
          </template>
        </div>
        <CurveFields
          v-for="curve in curves"
          :key="curve.path"
          :form="form"
          :curve="curve"
          :drawn="drawnOf(curve.path)"
        />
      </section>
      <footer class="no-print">
        <p v-if="form.notice.value" class="fault" role="alert">
          {{ form.stale.value ? t('sheets.form.stale') : form.notice.value }}
          <ElButton v-if="form.stale.value" link type="primary" @click="form.goOn()">{{
            t('sheets.form.goOn')
          }}</ElButton>
        </p>
        <p v-else-if="count" class="fault" role="status">{{ t('sheets.form.faults', { count }) }}</p>
        <div class="acts">
          <ElButton type="primary" native-type="submit" :disabled="form.busy.value">{{
            t('sheets.form.save')
          }}</ElButton>
          <ElButton @click="cancel">{{ t('sheets.form.cancel') }}</ElButton>
        </div>
      </footer>
    </form>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.start {
  max-width: 360px;
  margin: 10px 0 16px;
}
section {
  border-top: 1px solid var(--line);
  padding: 12px 0 18px;
}
.lines {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 12px 20px;
  align-items: start;
  margin-top: 10px;
}
footer {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
footer p {
  margin: 0 0 8px;
}
.acts {
  display: flex;
  gap: 14px;
}
</style>
