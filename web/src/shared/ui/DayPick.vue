<script setup lang="ts">
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDays } from '../state/times'

const DayCalendar = defineAsyncComponent(() => import('./DayCalendar.vue'))

/** A calendar beside a field that a day can be typed into. Gives the day as the reader writes it. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{
  /** What stands in the field. */
  day: string
  /** The day that is kept, as 2026-11-23. */
  kept?: string | null
  label: string
  disabled?: boolean
}>()
const emit = defineEmits<{ pick: [day: string] }>()
const { t } = useI18n()
const open = ref(false)
const button = useTemplateRef('button')
const written = useDays()
// The day that was picked last: what was typed is read by the server alone.
const last = ref('')
const marked = computed(() => [props.kept, last.value].find((iso) => iso && written(iso) === props.day) ?? undefined)

function picked(day: unknown) {
  open.value = false
  if (typeof day !== 'string') return
  last.value = day
  emit('pick', written(day))
}
</script>

<template>
  <ElButton
    ref="button"
    v-bind="$attrs"
    link
    type="primary"
    class="pick"
    :disabled="disabled"
    :aria-label="t('app.pickDay', { field: label })"
    :aria-expanded="open"
    @click="open = !open"
  >
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
      <rect x="2" y="3.5" width="14" height="12.5" rx="1.5" fill="none" stroke="currentColor" stroke-width="1.4" />
      <path d="M2 7.5h14M6 1.5v4M12 1.5v4" fill="none" stroke="currentColor" stroke-width="1.4" />
    </svg>
  </ElButton>
  <!-- Made once it is opened: a page may have a hundred of these buttons. -->
  <ElPopover
    v-if="open"
    v-model:visible="open"
    virtual-triggering
    :virtual-ref="button?.$el"
    trigger="click"
    width="auto"
    placement="bottom-end"
  >
    <DayCalendar :day="marked" @pick="picked" />
  </ElPopover>
</template>

<style scoped>
.pick {
  justify-content: center;
  min-width: 44px;
  flex: none;
}
</style>
