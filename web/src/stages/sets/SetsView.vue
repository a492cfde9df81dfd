<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useJobFields, useSurfaceFields } from '@/shared/state/fields'
import { useBoard, useSets, useSurfaces } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingsList from '@/shared/ui/FindingsList.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import type { Column } from '@/shared/ui/dataTable'
import ColdRoutes from './ColdRoutes.vue'
import InchMoney from './InchMoney.vue'
import LoadMeaning from './LoadMeaning.vue'
import RigOrKit from './RigOrKit.vue'
import SetsFrame from './SetsFrame.vue'
import YieldSteps from './YieldSteps.vue'

/** How much material: the median, sets to load for the risk taken, and where the yield goes. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const sets = useSets(() => props.surface)
const surfaces = useSurfaces(() => props.job)
const board = useBoard(() => props.job)

const locked = computed(() => !session.may('edit'))
const answer = computed(() => sets.data.value?.answer ?? null)
const row = computed(() => surfaces.data.value?.find((one) => one.id === props.surface))
const head = computed(() => board.data.value?.job)
// What this surface takes is loaded with the rest of the job: load, chance and left-over are those of all of it.
const own = computed(() => (sets.data.value?.job ?? []).filter((load) => load.ofThis))
// A product that is neither the surface's own nor sprayed over it comes by the way it will be sprayed in the cold.
const isByRoute = (load: Schemas['ProductLoad']) =>
  load.sheetId !== sets.data.value?.question?.sheetId &&
  !sets.data.value?.further.some((one) => one.sheet === load.sheet)
const fig = (name: string): Schemas['WorkedFigure'] => answer.value!.figures[name]!

const ofSurface = useSurfaceFields(
  () => props.job,
  () => props.surface,
)
const ofJob = useJobFields(() => props.job)
const expected = computed(() => [
  { field: 'expectedSubstrate', label: t('sets.expectSubstrate'), kept: reader.print(row.value?.expectedSubstrate) },
  { field: 'expectedDrum', label: t('sets.expectDrum'), kept: reader.print(row.value?.expectedDrum) },
])
const loadColumns = (product: Schemas['ProductLoad']): Column<Schemas['ProductLoad']['around'][number]>[] => [
  { key: 'sets', label: t('sets.loadsCol.sets', { sheet: product.sheet }), text: (load) => load.sets },
  { key: 'short', label: t('sets.loadsCol.short'), figure: true },
  { key: 'left', label: t('sets.loadsCol.left'), figure: true },
]
const jobColumns = computed((): Column<Schemas['ProductLoad']>[] => [
  { key: 'product', label: t('sets.jobCol.product'), text: (load) => load.sheet },
  { key: 'surfaces', label: t('sets.jobCol.surfaces'), text: (load) => load.surfaces, figure: true },
  { key: 'foam', label: t('sets.jobCol.foam'), text: (load) => reader.print(load.boardFeet), figure: true },
  { key: 'median', label: t('sets.jobCol.median'), figure: true },
  { key: 'load', label: t('sets.jobCol.load'), figure: true },
  { key: 'short', label: t('sets.jobCol.short'), figure: true },
  { key: 'left', label: t('sets.jobCol.left'), figure: true },
])
</script>

<template>
  <SetsFrame :job="job" :surface="surface">
    <h1 class="visually-hidden">{{ writing.labelled(t('sets.title'), row?.name ?? '') }}</h1>
    <ProblemNote v-if="sets.error.value" :problem="sets.error.value" @retry="sets.refetch()" />
    <ElSkeleton v-else-if="sets.isPending.value" :rows="7" animated />
    <p v-else-if="!answer" class="start">{{ t(`sets.missing.${sets.data.value?.missing ?? 'sheet'}`) }}</p>
    <template v-else>
      <dl class="figures">
        <div v-for="load in own" :key="load.sheetId" class="load">
          <dd><FigureText :figure="load.load.figure" :working="load.load.working" /></dd>
          <dt>
            <b>{{ t('sets.load', { sheet: load.sheet }) }}</b><br />
            {{ t('sets.loadOf', load.surfaces) }}
            {{ isByRoute(load) ? t('sets.loadByRoute') : '' }}
            <br />
            <LoadMeaning :load="load.loaded" />
          </dt>
        </div>
        <div>
          <dd><FigureText :figure="fig('median').figure" :working="fig('median').working" /></dd>
          <dt>{{ t('sets.median') }}</dt>
        </div>
        <div>
          <dd><FigureText :figure="fig('volume').figure" :working="fig('volume').working" /></dd>
          <dt>{{ t('sets.volume') }}</dt>
        </div>
        <div>
          <dd><FigureText :figure="fig('yield').figure" :working="fig('yield').working" /></dd>
          <dt>{{ t('sets.yield') }}</dt>
        </div>
      </dl>
      <i18n-t keypath="sets.meanDepth" tag="p" class="quiet" scope="global">
        <template #depth><FigureText :figure="fig('meanDepth').figure" :working="fig('meanDepth').working" /></template>
        <template #extra><FigureText :figure="fig('extra').figure" :working="fig('extra').working" /></template>
      </i18n-t>

      <div class="two">
        <section>
          <h2>{{ t('sets.yieldTitle') }}</h2>
          <p v-for="one in sets.data.value?.further ?? []" :key="one.sheet" class="further">
            {{
              t('sets.further', {
                sheet: one.sheet,
                depth: reader.print(one.meanDepth),
                feet: reader.print(one.boardFeet),
                sets: reader.print(one.sets),
              })
            }}
          </p>
          <YieldSteps :answer="answer" />
          <i18n-t keypath="sets.massBound" tag="p" class="small quiet" scope="global">
            <template #bound
              ><FigureText :figure="fig('massBound').figure" :working="fig('massBound').working"
            /></template>
            <template #loss
              ><FigureText :figure="fig('impliedLoss').figure" :working="fig('impliedLoss').working"
            /></template>
          </i18n-t>
        </section>
        <section>
          <h2>{{ t('sets.expect') }}</h2>
          <div class="inputs">
            <TypedField
              v-for="one in expected"
              :key="one.field"
              :typed="ofSurface"
              :field="one.field"
              :label="one.label"
              :kept="one.kept"
              :hint="t('sets.expectBlank')"
              :disabled="locked"
            />
            <TypedField
              :typed="ofJob"
              field="risk"
              :label="writing.listed([t('sets.risk'), t('sets.riskJob')])"
              :kept="reader.print(head?.figures.risk)"
              :disabled="locked"
            />
            <p class="fault" role="alert">{{ ofSurface.notice.value || ofJob.notice.value }}</p>
          </div>
          <h2>{{ t('sets.loads') }}</h2>
          <DataTable
            v-for="product in own"
            :key="product.sheetId"
            :label="t('sets.loadsCol.sets', { sheet: product.sheet })"
            :columns="loadColumns(product)"
            :rows="product.around"
            :by="(load) => load.sets"
            :row-class="(load) => (load.sets === product.loadSets ? 'chosen' : '')"
          >
            <template #short="{ row: load }">
              <FigureText :figure="load.chanceShort.figure" :working="load.chanceShort.working" />
            </template>
            <template #left="{ row: load }">
              <FigureText :figure="load.leftOver.figure" :working="load.leftOver.working" />
            </template>
          </DataTable>
        </section>
      </div>
    </template>
    <ColdRoutes v-if="answer" :surface="surface" />
    <RigOrKit v-if="answer" :surface="surface" />
    <InchMoney v-if="answer" :surface="surface" />
    <section v-if="sets.data.value?.job.length" class="job">
      <h2>{{ t('sets.job') }}</h2>
      <DataTable :label="t('sets.job')" :columns="jobColumns" :rows="sets.data.value.job" :by="(load) => load.sheetId">
        <template #median="{ row: load }">
          <FigureText :figure="load.median.figure" :working="load.median.working" />
        </template>
        <template #load="{ row: load }">
          <b><FigureText :figure="load.load.figure" :working="load.load.working" /></b>
        </template>
        <template #short="{ row: load }">
          <FigureText :figure="load.loaded.chanceShort.figure" :working="load.loaded.chanceShort.working" />
        </template>
        <template #left="{ row: load }">
          <FigureText :figure="load.loaded.leftOver.figure" :working="load.loaded.leftOver.working" />
        </template>
      </DataTable>
      <p class="small quiet">{{ t('sets.jobNote') }}</p>
    </section>
    <template #side>
      <FindingsList v-if="answer" :findings="answer.findings" />
    </template>
  </SetsFrame>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: 1.6fr 1fr 1fr 1fr;
  margin: 0 0 12px;
  border-bottom: 2px solid var(--ink);
}
.figures div {
  padding: 6px 12px 12px;
  border-left: 1px solid var(--line);
  display: flex;
  flex-direction: column;
}
.figures .load {
  flex-direction: row;
  gap: 14px;
  align-items: center;
  padding-left: 0;
  border-left: 0;
}
dd {
  margin: 0;
  font: 650 1.35rem / 1.3 var(--head);
}
.load dd {
  font-size: 3.2rem;
  line-height: 1;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.load dt b {
  color: var(--ink);
  font-size: var(--text);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 32px;
  margin: 20px 0;
}
h2 {
  margin-bottom: 8px;
}
.inputs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 18px;
}
.inputs :last-child {
  grid-column: 1 / -1;
}
.fault:empty {
  display: none;
}
em {
  font-style: normal;
}
.start {
  padding: 30px 0;
}
.job {
  margin-top: 26px;
}
@media (max-width: 760px) {
  .two,
  .figures {
    grid-template-columns: 1fr;
  }
}
</style>
