<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Acts } from '@/shared/hours/useHours'

/** By when a face that must be washed has to be, to be dry for the next window. */
const props = defineProps<{ wash: Schemas['WashAtStartAnswer']; when: (instant: string) => string }>()
const emit = defineEmits<{ take: [acts: Acts, what: string] }>()
const { t } = useI18n()
const said = computed(() => {
  const { start, by, next } = props.wash
  const at = { start: props.when(start), by: by ? props.when(by) : '', next: next ? props.when(next) : '' }
  return t(`hours.wash.${by ? 'by' : next ? 'next' : 'never'}`, at)
})
const show = (by: string) => emit('take', { washedAt: by }, t('hours.wash.did', { at: props.when(by) }))
</script>

<template>
  <p class="small quiet">
    {{ said }}
    <ElButton v-if="wash.by" link type="primary" @click="show(wash.by)">{{ t('hours.acts.show') }}</ElButton>
  </p>
</template>
