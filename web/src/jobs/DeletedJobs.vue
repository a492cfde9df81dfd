<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { useDays } from '../shared/state/times'
import { useSession } from '../shared/state/session'
import ProblemNote from '../shared/ui/ProblemNote.vue'
import { useDeletedJobs, type JobLife } from './jobLife'

/** Deleted jobs: each can be restored; an owner can remove it for good, and is asked first. */
const props = defineProps<{ life: JobLife }>()
const { t, d } = useI18n()
const day = useDays()
const session = useSession()
const jobs = useDeletedJobs()
const asked = ref('')
const dayOf = (job: Schemas['DeletedJob']) => day(job.deletedAt.slice(0, 10)) || d(job.deletedAt)

function removeForGood(job: Schemas['DeletedJob']) {
  asked.value = ''
  return props.life.removeForGood(job)
}
</script>

<template>
  <ProblemNote v-if="jobs.error.value" :problem="jobs.error.value" @retry="jobs.refetch()" />
  <ElSkeleton v-else-if="jobs.isPending.value" :rows="3" animated />
  <p v-else-if="!jobs.data.value?.length" class="empty">{{ t('jobs.life.noneDeleted') }}</p>
  <ul v-else class="deleted">
    <li v-for="job in jobs.data.value" :key="job.id">
      <div>
        <h2>{{ job.name }}</h2>
        <p class="quiet">
          {{ t('jobs.life.deletedOn', { day: dayOf(job), by: job.deletedBy }) }} ·
          {{ t('jobs.surfaces', job.surfaces) }}
        </p>
      </div>
      <div v-if="asked === job.id" class="acts" role="alertdialog" :aria-label="t('jobs.life.forGood')">
        <p>{{ t('jobs.life.forGoodSure', { name: job.name }) }}</p>
        <ElButton type="danger" @click="removeForGood(job)">{{ t('jobs.life.forGood') }}</ElButton>
        <ElButton @click="asked = ''">{{ t('app.cancel') }}</ElButton>
      </div>
      <div v-else-if="session.may('edit')" class="acts">
        <ElButton @click="life.restore(job)">{{ t('jobs.life.restore') }}</ElButton>
        <ElButton v-if="session.may('manage')" link type="primary" @click="asked = job.id">
          {{ t('jobs.life.forGood') }}
        </ElButton>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.deleted {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.deleted li {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  justify-content: space-between;
  align-items: center;
  padding: 16px 8px;
  border-bottom: 1px solid var(--line);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.acts .el-button + .el-button {
  margin-left: 0;
}
.empty {
  padding: 40px 0;
}
</style>
