<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

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
</script>

<template>
  <section aria-labelledby="book">
    <h2 id="book">{{ t('book.title') }}</h2>
    <p class="quiet lead">{{ t('book.lead') }}</p>
    <ProblemNote v-if="events.error.value" :problem="events.error.value" @retry="events.refetch()" />
    <ElSkeleton v-else-if="!events.data.value" :rows="3" animated />
    <p v-else-if="!all.length" class="quiet">{{ t('book.empty') }}</p>
    <div v-else class="wide" tabindex="0" role="group" :aria-label="t('book.title')">
      <table class="small">
        <thead>
          <tr>
            <th v-for="col in ['when', 'what', 'who', 'about'] as const" :key="col" scope="col">
              {{ t(`book.column.${col}`) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="event in all" :key="event.id">
            <td class="when">{{ when(event.at) }}</td>
            <td>{{ t(`book.kind.${event.kind}`) }}</td>
            <td>{{ event.by }}</td>
            <td class="about">{{ event.about }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 5px 14px 5px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
}
.when {
  white-space: nowrap;
}
.about {
  overflow-wrap: anywhere;
}
</style>
