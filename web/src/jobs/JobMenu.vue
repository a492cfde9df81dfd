<script setup lang="ts">
import type { DropdownInstance } from 'element-plus'
import { computed, nextTick, onMounted, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { jobStates, useJobStanding, type JobState } from './jobLife'

/** What can be done with a job as a whole, under the button that asked for it. */
const props = defineProps<{ job: Schemas['JobAnswer']; button: HTMLElement }>()
const emit = defineEmits<{ mark: [state: JobState]; archive: [yes: boolean]; copy: []; remove: []; closed: [] }>()
const { t } = useI18n()
const standing = useJobStanding()
const isArchived = computed(() => standing.isArchived(props.job))
const others = computed(() => jobStates.filter((state) => state !== standing.stateOf(props.job)))

const menu = useTemplateRef<DropdownInstance>('menu')
onMounted(async () => {
  await nextTick()
  menu.value?.handleOpen()
})

function turned(isOpen: boolean) {
  if (isOpen) return
  props.button.focus()
  emit('closed')
}

function act(command: string) {
  if (command === 'archive') emit('archive', !isArchived.value)
  else if (command === 'copy') emit('copy')
  else if (command === 'remove') emit('remove')
  else emit('mark', command as JobState)
}
</script>

<template>
  <ElDropdown
    ref="menu"
    :virtual-ref="button"
    virtual-triggering
    trigger="contextmenu"
    placement="bottom-end"
    popper-class="job-menu"
    @command="act"
    @visible-change="turned"
  >
    <template #dropdown>
      <ElDropdownMenu :aria-label="t('jobs.life.menu', { name: job.name })">
        <ElDropdownItem v-for="state in others" :key="state" :command="state">
          {{ t('jobs.life.mark', { state: t(`jobs.state.${state}`) }) }}
        </ElDropdownItem>
        <ElDropdownItem command="copy" divided>{{ t('jobs.life.copy') }}</ElDropdownItem>
        <ElDropdownItem command="archive">
          {{ t(isArchived ? 'jobs.life.unarchive' : 'jobs.life.archive') }}
        </ElDropdownItem>
        <ElDropdownItem command="remove">{{ t('jobs.life.delete') }}</ElDropdownItem>
      </ElDropdownMenu>
    </template>
  </ElDropdown>
</template>
