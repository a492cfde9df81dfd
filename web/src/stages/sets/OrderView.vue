<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useJobFields } from '@/shared/state/fields'
import { usePapers } from '@/shared/state/papers'
import { useOrder } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useDays } from '@/shared/state/times'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import FindingsList from '@/shared/ui/FindingsList.vue'
import PapersMade from '@/shared/ui/PapersMade.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import type { Column } from '@/shared/ui/dataTable'
import DrumsWarming from './DrumsWarming.vue'
import SetsFrame from './SetsFrame.vue'
import { useDrumText } from './drumText'

/** What the job loads, what of it stands in the store, what is ordered and by when, and when drums go into their blankets. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const order = useOrder(() => props.job)
const session = useSession()
const typed = useJobFields(() => props.job)
const papers = usePapers(() => props.job)
const day = useDays()
const blanket = useDrumText()
const answer = computed(() => order.data.value ?? null)
const priced = computed(() => session.may('price'))
const columns = computed((): Column<Schemas['OrderLine']>[] => [
  { key: 'product', label: t('order.col.product'), text: (line) => line.sheet },
  { key: 'load', label: t('order.col.load'), figure: true },
  { key: 'a', label: t('order.col.a'), text: (line) => reader.print(line.setsA), figure: true, class: 'side-a' },
  { key: 'b', label: t('order.col.b'), text: (line) => reader.print(line.setsB), figure: true, class: 'side-b' },
  { key: 'order', label: t('order.col.order'), figure: true },
  ...(priced.value ? [price.value] : []),
  { key: 'weight', label: t('order.col.weight'), text: (line) => reader.print(line.weight), figure: true },
])
const price = computed((): Column<Schemas['OrderLine']> => ({
  key: 'price',
  label: t('order.col.price'),
  text: (line) => reader.print(line.price) || '–',
  figure: true,
}))
const toOrder = computed(() => (answer.value?.lines ?? []).filter((line) => line.orderCount > 0))
const leftOvers = computed(() => (answer.value?.lines ?? []).filter((line) => line.leftOver.amount >= 0.05))
const findings = computed(() => (answer.value?.lines ?? []).flatMap((line) => line.findings))
</script>

<template>
  <SetsFrame :job="job" wide>
    <h1>{{ t('order.title') }}</h1>
    <ProblemNote v-if="order.error.value" :problem="order.error.value" @retry="order.refetch()" />
    <ElSkeleton v-else-if="!answer" :rows="6" animated />
    <template v-else>
      <p class="fault" role="alert">{{ papers.fault.value }}</p>
      <p class="quiet">
        {{ answer.workDate ? t('order.for', { day: day(answer.workDate) }) : t('order.noDay') }}
        <b v-if="answer.orderBy">{{ t('order.by', { day: day(answer.orderBy) }) }}</b>
      </p>
      <TypedField
        class="day no-print"
        :typed="typed"
        field="workDate"
        :label="t('price.workDate')"
        :kept="answer.workDate ?? ''"
        :disabled="!session.may('edit')"
        day
      />
      <p v-if="!answer.lines.length" class="empty">{{ t('price.empty') }}</p>
      <template v-else>
        <DataTable
          :label="t('order.title')"
          :columns="columns"
          :rows="answer.lines"
          :by="(line) => line.sheetId"
          :foot="{ product: t('order.all'), weight: reader.print(answer.weight) }"
        >
          <template #load="{ row }">
            <b>{{ row.load }}</b>
          </template>
          <template #order="{ row }"><FigureText :figure="row.order.figure" :working="row.order.working" /></template>
        </DataTable>
        <FindingLine v-for="one in answer.findings" :key="one.case" class="trailer" :finding="one" detail />
        <section class="drums">
          <h2>{{ t('order.col.blanket') }}</h2>
          <p v-if="!answer.nightAir" class="quiet">{{ t('order.noAir') }}</p>
          <dl v-else>
            <div v-for="line in answer.lines" :key="line.sheetId">
              <dt>{{ line.sheet }}</dt>
              <dd v-for="drum in line.drums" :key="drum.side">{{ blanket(drum) }}</dd>
            </div>
          </dl>
          <DrumsWarming v-if="answer.nightAir" :lines="answer.lines" :night="answer.nightAir" />
        </section>
        <div class="acts no-print">
          <ElButton type="primary" :disabled="papers.waits.value" @click="papers.make({ kind: 'loadList' }, 'pdf')">
            {{ t('order.loadPdf') }}
          </ElButton>
          <ElButton
            v-for="ending in ['pdf', 'csv', 'xlsx'] as const"
            :key="ending"
            :disabled="!toOrder.length || papers.waits.value"
            @click="papers.make({ kind: 'order' }, ending)"
          >
            {{ t(`order.save.${ending}`) }}
          </ElButton>
          <RouterLink class="act" :to="{ name: 'stock' }">{{ t('stock.title') }}</RouterLink>
        </div>
        <PapersMade :job="job" :kinds="['loadList', 'order']" @again="papers.again" />
        <section v-if="leftOvers.length">
          <h2>{{ t('order.leftTitle') }}</h2>
          <ul>
            <li v-for="line in leftOvers" :key="line.sheetId">
              {{ t('order.left', { sheet: line.sheet, sets: reader.print(line.leftOver) }) }}
              {{ line.nextJobs.length ? t('order.next', { jobs: listed(line.nextJobs) }) : t('order.nowhere') }}
            </li>
          </ul>
        </section>
        <p class="small quiet">{{ t('order.warm') }} {{ t('order.core') }}</p>
      </template>
    </template>
    <template #side><FindingsList v-if="findings.length" :findings="findings" /></template>
  </SetsFrame>
</template>

<style scoped>
.day {
  max-width: 220px;
  margin: 8px 0 14px;
}
.fault:empty {
  display: none;
}
.trailer {
  margin: 10px 0;
}
.drums {
  margin: 18px 0;
}
.drums dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 10px 24px;
  margin: 0;
}
.drums dt {
  font-weight: 650;
}
.drums dd {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 16px 0 10px;
}
.empty {
  padding: 24px 0;
}
</style>
