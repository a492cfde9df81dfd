<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../api/client'
import { useEdits } from '../state/edits'
import { useSession } from '../state/session'
import { useDays } from '../state/times'
import TypeOnce from '../typing/TypeOnce.vue'
import DayPick from './DayPick.vue'
import DoubtNote from './DoubtNote.vue'

/** Items of a preparation list: ticked, given to someone, dated. Ticks feed gate rule G13. */
type Task = Schemas['PreparationTaskAnswer']
const props = defineProps<{
  job: string
  surface?: string
  tasks: readonly Task[]
  detailed?: boolean
}>()
const { t } = useI18n()
const edits = useEdits()
const session = useSession()
// Whoever is on site ticks off; who does what by when is for those who plan.
const mayTick = computed(() => session.may('record'))
const mayPlan = computed(() => session.may('edit'))

const placeOf = ({ item, forJob }: Task) => ({
  kind: 'task',
  id: `${forJob ? props.job : props.surface!}/${item}`,
  within: props.job,
})
const textOf = (task: Task, field: string, kept: string) => edits.textOf(placeOf(task), field, kept)
const days = useDays()
const dueOf = (task: Task) => textOf(task, 'dueOn', days(task.dueOn))
const isTicked = (task: Task) => textOf(task, 'done', task.done || task.contradicted ? 'yes' : 'no') === 'yes'
const fault = computed(() => props.tasks.map((task) => edits.faultAt(placeOf(task))).find(Boolean) ?? '')

const change = (task: Task, fields: Record<string, string>) => edits.keep(placeOf(task), fields)
const tick = (task: Task, on: boolean) => change(task, { done: on ? 'yes' : 'no' })
</script>

<template>
  <div>
    <ul>
      <li v-for="task in tasks" :key="task.item" :class="{ done: task.done }">
        <ElCheckbox class="tick" :model-value="isTicked(task)" :disabled="!mayTick" @change="tick(task, !!$event)">
          {{ t(`window.prepItem.${task.item}`) }}
          <em v-if="task.contradicted" class="fault">{{ t(`window.contradicted.${task.item}`) }}</em>
        </ElCheckbox>
        <span v-if="detailed" class="who">
          <TypeOnce
            :text="textOf(task, 'assignedTo', task.assignedTo)"
            :disabled="!mayPlan"
            maxlength="120"
            :placeholder="t('survey.prepare.who')"
            :aria-label="t('survey.prepare.whoFor', { item: t(`window.prepItem.${task.item}`) })"
            @change="change(task, { assignedTo: $event })"
          />
          <TypeOnce
            class="day"
            :text="dueOf(task)"
            :disabled="!mayPlan"
            :aria-label="t('survey.prepare.whenFor', { item: t(`window.prepItem.${task.item}`) })"
            @change="change(task, { dueOn: $event })"
          />
          <DayPick
            class="no-print"
            :day="dueOf(task)"
            :kept="task.dueOn"
            :label="t('survey.prepare.whenFor', { item: t(`window.prepItem.${task.item}`) })"
            :disabled="!mayPlan"
            @pick="change(task, { dueOn: $event })"
          />
          <DoubtNote
            class="no-print"
            :doubt="edits.doubtAt(placeOf(task), 'dueOn')"
            @other="change(task, { dueOn: $event })"
            @right="edits.right(placeOf(task), 'dueOn')"
          />
        </span>
      </li>
    </ul>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.tick {
  flex: 1 1 220px;
  min-height: 44px;
}
.tick .fault {
  display: block;
  font-style: normal;
}
.who {
  display: flex;
  gap: 6px;
}
/* Names and days look like words until they are touched. */
.who .el-input {
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
  width: 128px;
}
@media print {
  li {
    flex-wrap: nowrap;
    gap: 6px;
    break-inside: avoid;
  }
  .tick {
    min-height: 0;
    flex: 1 1 auto;
  }
  .tick .fault {
    font-size: inherit;
  }
  .who .el-input {
    --el-input-height: auto;
    width: auto;
    max-width: 60px;
    font-size: inherit;
  }
  .who :deep(input)::placeholder {
    color: transparent;
  }
}
</style>
