<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import DataTable from '@/shared/ui/DataTable.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import type { Column } from '@/shared/ui/dataTable'

/** What happened that bears on who may get at what: newest first, earlier pages on demand. */
const PAGE = 100
const { t, d } = useI18n()
const events = useInfiniteQuery({
  queryKey: ['security-events'],
  queryFn: ({ pageParam }) => ask(api.GET('/api/security-events', { params: { query: { before: pageParam } } })),
  initialPageParam: undefined as string | undefined,
  getNextPageParam: (last) => (last.length < PAGE ? undefined : last.at(-1)!.at),
})
const all = computed(() => events.data.value?.pages.flat() ?? [])
const when = (at: string) => d(new Date(at), { dateStyle: 'medium', timeStyle: 'short' })
const columns = computed((): Column<(typeof all.value)[number]>[] => [
  { key: 'when', label: t('book.column.when'), text: (event) => when(event.at) },
  { key: 'what', label: t('book.column.what'), text: (event) => t(`book.kind.${event.kind}`) },
  { key: 'who', label: t('book.column.who'), text: (event) => event.by ?? '' },
  { key: 'about', label: t('book.column.about'), text: (event) => event.about ?? '', class: 'about' },
])
</script>

<template>
  <section aria-labelledby="book">
    <h2 id="book">{{ t('book.title') }}</h2>
    <p class="quiet lead">{{ t('book.lead') }}</p>
    <ProblemNote v-if="events.error.value" :problem="events.error.value" @retry="events.refetch()" />
    <ElSkeleton v-else-if="!events.data.value" :rows="3" animated />
    <p v-else-if="!all.length" class="quiet">{{ t('book.empty') }}</p>
    <div v-else class="wide" tabindex="0" role="group" :aria-label="t('book.title')">
      <DataTable class="small" :label="t('book.title')" :columns="columns" :rows="all" :by="(event) => event.id" />
      <ElButton
        v-if="events.hasNextPage.value"
        link
        type="primary"
        :disabled="events.isFetchingNextPage.value"
        @click="events.fetchNextPage()"
      >
        {{ t('book.more') }}
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.wide {
  max-height: 320px;
  overflow: auto;
  border-block: 1px solid var(--line);
  margin-bottom: 26px;
}
.wide :deep(.about) {
  overflow-wrap: anywhere;
}
</style>
