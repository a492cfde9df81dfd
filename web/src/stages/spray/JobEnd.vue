<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'
import type { Column } from '@/shared/ui/dataTable'
import CostDone from './CostDone.vue'

/** The whole job: planned against done, what it cost, and its end, from which the crew learns. */
const props = defineProps<{ spray: Schemas['JobSpray']; timeZone?: string | null; locked: boolean }>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const writing = useWriting()
const times = useTimesIn(() => props.timeZone)
type Done = Schemas['DoneSurface']
const columns = computed((): Column<Done>[] => [
  { key: 'name', label: t('spray.job.surface'), text: (row) => row.name },
  {
    key: 'lifts',
    label: t('spray.job.lifts'),
    text: (row) => t('spray.job.liftsOf', { count: row.lifts, planned: row.planned }),
    figure: true,
  },
  {
    key: 'depth',
    label: t('spray.job.depth'),
    text: (row) =>
      t('spray.job.depthOf', {
        depth: row.depth ? reader.print(row.depth) : t('spray.job.unread'),
        specified: reader.print(row.specified),
      }),
    figure: true,
  },
  {
    key: 'foam',
    label: t('spray.job.foam'),
    text: (row) => t('spray.job.foamOf', { foam: reader.print(row.sprayed), planned: reader.print(row.foam) }),
    figure: true,
  },
])
const open = computed(() => props.spray.surfaces.filter((row) => !row.finishedAt).map((row) => row.name))
const isBegun = computed(() => props.spray.surfaces.some((row) => row.lifts > 0))
const learning = computed(() =>
  props.spray.courses.map(({ sheet, lacks }) => {
    const list = writing.listed(lacks.map((one) => t(`spray.job.lack.${one}`)))
    if (list) return t('spray.job.lacks', { sheet, list })
    return t(props.spray.finishedAt ? 'spray.job.learned' : 'spray.job.willLearn', { sheet })
  }),
)
const fuel = ref('')
function bought() {
  if (!fuel.value.trim()) return
  emit('say', { kind: 'fuelBought', cost: fuel.value.trim() })
  fuel.value = ''
}
const finish = () => emit('say', { kind: props.spray.finishedAt ? 'jobReopened' : 'jobFinished' })
</script>

<template>
  <FoldBox class="job" :title="t('spray.job.title')" :opened="!!spray.finishedAt || !open.length">
    <p v-if="spray.finishedAt">{{ t('spray.job.finished', { when: times.time(spray.finishedAt) }) }}</p>
    <p v-if="open.length">{{ t('spray.job.open', { names: writing.listed(open) }) }}</p>
    <DataTable :label="t('spray.job.title')" :columns="columns" :rows="spray.surfaces" :by="(row) => row.id" />
    <p v-if="spray.days">
      {{ t('spray.job.onSite', { time: reader.print(spray.onSite), count: spray.days }, spray.days) }}
    </p>
    <p v-for="one in learning" :key="one">{{ one }}</p>
    <CostDone v-if="spray.cost && isBegun" :cost="spray.cost" :time-zone="timeZone" :finished="!!spray.finishedAt" />
    <form v-if="!locked && isBegun" class="acts" novalidate @submit.prevent="bought">
      <FormField v-model="fuel" name="cost" :label="t('spray.job.fuel')" />
      <ElButton native-type="submit" class="large" :disabled="!fuel.trim()">{{ t('spray.job.saveFuel') }}</ElButton>
    </form>
    <p class="acts">
      <ElButton v-if="!locked && (isBegun || spray.finishedAt)" class="large" @click="finish">{{
        t(spray.finishedAt ? 'spray.job.reopen' : 'spray.job.button')
      }}</ElButton>
      <RouterLink v-if="spray.finishedAt" :to="{ name: 'pastJobs' }">{{ t('spray.job.toPast') }}</RouterLink>
    </p>
  </FoldBox>
</template>

<style scoped>
.job {
  margin-bottom: 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.acts a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.large {
  min-height: 64px;
}
</style>
