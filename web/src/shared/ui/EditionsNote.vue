<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '../api/client'
import { useEdits } from '../state/edits'
import { useReader } from '../state/reader'
import { useSession } from '../state/session'
import { useDays } from '../state/times'
import FoldBox from './FoldBox.vue'

/** Says of which products of a job a newer edition stands, what differs, and takes it when told. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const edits = useEdits()
const days = useDays()
const held = useQuery({
  queryKey: ['job', () => props.job, 'editions'],
  queryFn: () => ask(api.GET('/api/jobs/{id}/editions', { params: { path: { id: props.job } } })),
})
const place = computed(() => ({ kind: 'job', id: props.job, within: props.job }))
const tighter = (one: Schemas['HeldEdition']) => one.changes.filter((line) => line.isTighter)
const others = (one: Schemas['HeldEdition']) => one.changes.filter((line) => !line.isTighter)
const take = (one: Schemas['HeldEdition']) => edits.keep(place.value, { [`edition:${one.sheetId}`]: '' })
const since = ({ keptAt }: Schemas['HeldEdition']) => days((keptAt ?? '').slice(0, 10))
const change = (one: Schemas['SheetChange']) => {
  const name = t(`sheets.line.${one.path}`)
  const [was, now] = one.words.length ? one.words : [reader.print(one.was), reader.print(one.now)]
  return was || now
    ? t('sheets.held.change', { name, was: was || t('sheets.blank'), now: now || t('sheets.blank') })
    : t('sheets.held.curve', { name })
}
</script>

<template>
  <section v-for="one in held.data.value ?? []" :key="one.sheetId" class="held" :aria-label="one.name">
    <div class="said">
      <p role="status">
        {{ t(since(one) ? 'sheets.held.said' : 'sheets.held.saidOfSample', { ...one, day: since(one) }) }}
      </p>
      <ElButton v-if="session.may('edit')" class="no-print" @click="take(one)">
        {{ t('sheets.held.take', { edition: one.standing }) }}
      </ElButton>
      <RouterLink class="act no-print" :to="{ name: 'sheet', params: { sheet: one.sheetId } }">
        {{ t('sheets.held.open') }}
      </RouterLink>
    </div>
    <template v-if="tighter(one).length">
      <p>
        <b>{{ t('sheets.held.tighter') }}</b>
      </p>
      <ul>
        <li v-for="line in tighter(one)" :key="line.path">{{ change(line) }}</li>
      </ul>
    </template>
    <FoldBox v-if="others(one).length" :title="t('sheets.held.changes', { count: others(one).length })">
      <ul>
        <li v-for="line in others(one)" :key="line.path">{{ change(line) }}</li>
      </ul>
    </FoldBox>
    <p v-if="edits.faultAt(place, `edition:${one.sheetId}`)" class="fault" role="alert">
      {{ edits.faultAt(place, `edition:${one.sheetId}`) }}
    </p>
  </section>
</template>

<style scoped>
.held {
  background: var(--sheet);
  border-left: 5px solid var(--care);
  padding: 8px 16px;
  margin: 0 0 12px;
}
.held p {
  margin: 0;
}
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
}
ul {
  margin: 4px 0;
  padding-left: 20px;
}
</style>
