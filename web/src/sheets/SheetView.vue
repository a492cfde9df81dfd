<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import FirmNav from '@/firm/FirmNav.vue'
import { useWriting } from '@/i18n/writing'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import { useDays } from '@/shared/state/times'
import AppBar from '@/shared/ui/AppBar.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import SheetLines from './SheetLines.vue'
import { useSheet } from './sheets'

/** One product: what its sheet says, in which editions, and the jobs that keep to each. */
const props = defineProps<{ sheet: string }>()
const { t } = useI18n()
const { labelled } = useWriting()
const session = useSession()
const router = useRouter()
const queries = useQueryClient()
const edits = useEdits()
const days = useDays()
const mayEdit = computed(() => session.may('edit'))

const number = ref<number>()
watch(
  () => props.sheet,
  () => (number.value = undefined),
)
const query = useSheet(() => props.sheet, number)
const detail = computed(() => query.data.value)
const shown = computed(() => detail.value?.editions.find((one) => one.number === detail.value?.number))
const picked = computed({
  get: () => String(detail.value?.number ?? ''),
  set: (value) => (number.value = Number(value)),
})
const editions = computed(() =>
  (detail.value?.editions ?? []).map((one) => ({
    value: String(one.number),
    text: one.stands ? t('sheets.edition.stands', { edition: one.edition }) : one.edition,
  })),
)
const origin = ({ origin: from, keptBy, keptAt }: Schemas['SheetEditionAnswer']) =>
  from === 'sample'
    ? t('sheets.sample')
    : t(`sheets.by.${from}`, { by: keptBy, day: days((keptAt ?? '').slice(0, 10)) })
const editionOf = (of: number) => detail.value?.editions.find((one) => one.number === of)?.edition ?? ''

const place = computed(() => ({ kind: 'sheet', id: props.sheet }))
const retire = (yes: boolean) => edits.keep(place.value, { retired: yes ? 'yes' : 'no' })

const off = useTakeOff(async (id) => {
  await ask(api.DELETE('/api/sheets/{id}', { params: { path: { id } } }))
  // Whoever has gone on to another page stays there.
  if (router.currentRoute.value.params.sheet === id) await router.push({ name: 'sheets' })
  for (const key of ['sheets', 'choices', 'supplies']) void queries.invalidateQueries({ queryKey: [key] })
})
</script>

<template>
  <AppBar :title="t('sheets.title')" :title-to="{ name: 'sheets' }" :page="detail?.summary.name" />
  <main id="work" class="firm-page">
    <FirmNav />
    <ProblemNote v-if="query.error.value" :problem="query.error.value" @retry="query.refetch()" />
    <ElSkeleton v-else-if="!detail || !shown" :rows="10" animated />
    <TakenOff v-if="detail" :off="off" />
    <template v-if="detail && shown && !off.gone(sheet)">
      <div class="head">
        <h1>{{ detail.summary.name }}</h1>
        <span class="quiet">{{ detail.summary.maker }}</span>
        <b v-if="detail.summary.retired" class="retired">{{ t('sheets.retired') }}</b>
      </div>
      <p :class="shown.origin === 'sample' ? 'sample' : 'quiet'">{{ origin(shown) }}</p>
      <div class="acts no-print">
        <PickField
          v-if="editions.length > 1"
          v-model="picked"
          class="edition"
          :label="t('sheets.line.edition')"
          :options="editions"
        />
        <template v-if="mayEdit">
          <RouterLink v-if="shown.stands" class="act" :to="{ name: 'sheetEdit', params: { sheet } }">
            {{ t('sheets.edit') }}
          </RouterLink>
          <RouterLink class="act" :to="{ name: 'sheetNew', query: { from: sheet } }">{{ t('sheets.copy') }}</RouterLink>
        </template>
        <a class="act" :href="`/api/sheets/${sheet}/file?number=${shown.number}`" download>{{
          t('sheets.file.out')
        }}</a>
        <template v-if="mayEdit">
          <ElButton link type="primary" @click="retire(!detail.summary.retired)">
            {{ t(detail.summary.retired ? 'sheets.offer' : 'sheets.retire') }}
          </ElButton>
          <ElButton v-if="!detail.jobs.length" link type="primary" @click="off.takeOff(sheet, detail.summary.name)">{{
            t('sheets.remove')
          }}</ElButton>
        </template>
      </div>
      <p v-if="edits.faultAt(place)" class="fault" role="alert">{{ edits.faultAt(place) }}</p>
      <SheetLines :sheet="detail" />
      <section class="jobs">
        <h2>{{ t('sheets.jobs.title') }}</h2>
        <p v-if="!detail.jobs.length" class="quiet">{{ t('sheets.jobs.none') }}</p>
        <ul v-else>
          <li v-for="job in detail.jobs" :key="job.id">
            <RouterLink class="act" :to="{ name: 'board', params: { job: job.id } }">{{ job.name }}</RouterLink>
            <span class="quiet small">{{ labelled(t('sheets.line.edition'), editionOf(job.number)) }}</span>
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.head h1 {
  overflow-wrap: anywhere;
}
.retired {
  color: var(--care);
}
.sample {
  border-left: 5px solid var(--care);
  background: var(--sheet);
  padding: 10px 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  margin: 12px 0;
}
.edition {
  min-width: 240px;
}
.jobs {
  border-top: 1px solid var(--line);
  padding: 12px 0;
}
.jobs ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
.jobs li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
  min-height: 44px;
}
</style>
