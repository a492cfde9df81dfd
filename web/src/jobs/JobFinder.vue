<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useI18n } from 'vue-i18n'
import { useNarrow } from '../shared/state/narrow'
import JobFilters from './JobFilters.vue'
import { ALL, queryOf, type Wanted } from './finding'

/** What one looks for among the jobs. On a phone the filters are folded, so that the jobs are on the screen. */
const FoldBox = defineAsyncComponent(() => import('../shared/ui/FoldBox.vue'))
defineProps<{ crews: readonly string[]; places: readonly string[]; found: number; all: number }>()
const wanted = defineModel<Wanted>({ required: true })
const { t } = useI18n()
const isNarrow = useNarrow()
const isFiltered = computed(() => Object.keys(queryOf({ ...wanted.value, words: ALL.words })).length > 0)
</script>

<template>
  <search class="finder no-print">
    <div v-if="wanted.shelf !== 'deleted'" class="field words">
      <label for="find-job">{{ t('jobs.find.label') }}</label>
      <ElInput
        id="find-job"
        v-model="wanted.words"
        type="search"
        maxlength="120"
        :placeholder="t('jobs.find.example')"
        @keydown.esc="wanted.words = ''"
      />
    </div>
    <FoldBox v-if="isNarrow" class="fold" :title="t('jobs.find.filters')" :opened="isFiltered">
      <div class="filters">
        <JobFilters v-model="wanted" :crews="crews" :places="places" />
      </div>
    </FoldBox>
    <JobFilters v-else v-model="wanted" :crews="crews" :places="places" />
    <p v-if="wanted.shelf !== 'deleted'" class="small quiet" role="status">
      {{ t('jobs.find.count', { found, all }) }}
    </p>
  </search>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: repeat(4, minmax(150px, 1fr));
  gap: 10px 16px;
  align-items: end;
  margin-bottom: 14px;
}
.words {
  grid-column: span 3;
}
.fold,
.finder p {
  grid-column: 1 / -1;
}
.filters {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
@media (max-width: 900px) {
  .finder {
    grid-template-columns: 1fr 1fr;
  }
  .words {
    grid-column: 1 / -1;
  }
}
</style>
