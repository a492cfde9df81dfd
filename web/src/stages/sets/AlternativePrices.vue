<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useFindingText } from '@/shared/figures/findings'
import { useAlternatives } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'

/** What the whole job would cost with every other system on one of its surfaces; equal ones are called alike. */
const props = defineProps<{ job: string; surface: string }>()
defineEmits<{ close: [] }>()
type One = Schemas['AlternativeAnswer']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const words = useCandidateText()
const findings = useFindingText()
const query = useAlternatives(() => props.surface)
const answer = computed(() => query.data.value ?? null)
const heading = ref<HTMLElement | null>(null)
onMounted(() => heading.value?.focus())

// Where a rule holds a system its reason stands in place of a price.
const reasonOf = (one: One) => {
  if (one.reason) return t('alternatives.held', { why: findings.title(one.reason) })
  const names = listed(one.missing.map((id) => t(`material.${id}`, id)))
  return one.missing.length ? t('alternatives.missing', { names }) : t('alternatives.cannot')
}
const columns = computed((): Column<One>[] => [
  { key: 'system', label: t('alternatives.col.system') },
  { key: 'price', label: t('alternatives.col.price'), long: true },
  { key: 'hours', label: t('alternatives.col.hours'), text: (one) => reader.print(one.hours) || '–', figure: true },
  {
    key: 'target',
    label: t('alternatives.col.target'),
    text: (one) => t(`alternatives.${one.meetsTarget ? 'meets' : 'short'}`),
  },
])
</script>

<template>
  <section class="alternatives">
    <div class="head">
      <h2 ref="heading" tabindex="-1">{{ t('alternatives.title', { name: answer?.surface ?? '' }) }}</h2>
      <ElButton link type="primary" class="no-print" @click="$emit('close')">{{ t('alternatives.close') }}</ElButton>
    </div>
    <ProblemNote v-if="query.error.value" :problem="query.error.value" @retry="query.refetch()" />
    <ElSkeleton v-else-if="!answer" :rows="4" animated />
    <p v-else-if="!answer.alternatives.length" class="quiet">{{ t('alternatives.empty') }}</p>
    <template v-else>
      <p class="quiet">{{ t('alternatives.lead') }}</p>
      <DataTable
        :label="t('alternatives.title', { name: answer.surface })"
        :columns="columns"
        :rows="answer.alternatives"
        :by="(one) => one.id"
        :row-class="(one) => (one.now ? 'chosen' : '')"
      >
        <template #system="{ row: one }">
          <VerdictMark :verdict="one.verdict" :size="14" /> <b>{{ words.kind(one.kind) }}</b>
          <span v-if="one.now" class="small tag">{{ t('alternatives.now') }}</span>
          <span class="small quiet layers">{{ words.layers(one.layers, one.boards) }}</span>
        </template>
        <template #price="{ row: one }">
          <i18n-t
            v-if="one.difference"
            :keypath="`alternatives.${one.alike ? 'alike' : one.dearer ? 'dearer' : 'cheaper'}`"
            tag="span"
            scope="global"
            ><template #money><FigureText :figure="one.difference.figure" :working="one.difference.working" /></template
            ><template #way>{{ t(`alternatives.${one.dearer ? 'more' : 'less'}`) }}</template></i18n-t
          >
          <span v-else class="quiet">{{ reasonOf(one) }}</span>
        </template>
      </DataTable>
      <RouterLink class="act no-print" :to="{ name: 'choose', params: { job, surface } }">{{
        t('alternatives.choose')
      }}</RouterLink>
    </template>
  </section>
</template>

<style scoped>
.alternatives {
  margin: 24px 0;
}
.head {
  display: flex;
  gap: 18px;
  align-items: baseline;
}
h2:focus {
  outline: none;
}
.layers {
  display: block;
  padding-left: 20px;
}
.tag {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--line);
}
</style>
