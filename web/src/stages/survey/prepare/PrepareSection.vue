<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useDays } from '@/shared/state/times'
import PreparationTasks from '@/shared/ui/PreparationTasks.vue'

/** What is to be done at one surface. In a long list a surface that was not near the screen yet stands in words, without its fields. */
const props = defineProps<{ job: string; of: Schemas['PreparationOfSurface']; long: boolean }>()
const { t } = useI18n()
const days = useDays()
const near = ref(!props.long)
const { stop } = useIntersectionObserver(
  useTemplateRef('section'),
  ([seen]) => {
    if (!seen?.isIntersecting) return
    near.value = true
    stop()
  },
  { rootMargin: '600px' },
)
</script>

<template>
  <section ref="section">
    <h2>
      <RouterLink :to="{ name: 'surfaceSheet', params: { job, surface: of.surfaceId } }">{{ of.name }}</RouterLink>
    </h2>
    <PreparationTasks v-if="near" :job="job" :surface="of.surfaceId" :tasks="of.tasks" detailed />
    <ul v-else>
      <li v-for="task in of.tasks" :key="task.item" :class="{ done: task.done }">
        {{ task.done ? '☑' : '☐' }} {{ t(`window.prepItem.${task.item}`) }}
        <span class="quiet">{{ task.assignedTo }} {{ days(task.dueOn) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  min-height: 45px;
  border-bottom: 1px solid var(--line);
}
@media print {
  li {
    min-height: 0;
  }
}
</style>
