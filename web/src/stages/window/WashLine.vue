<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import type { Acts } from '@/shared/hours/useHours'

/** By when a face that must be washed has to be, to be dry for the next window; nothing for one that takes up water. */
const props = defineProps<{ surface: string; when: (instant: string) => string }>()
const emit = defineEmits<{ take: [acts: Acts, what: string] }>()
const { t } = useI18n()
const washing = useQuery({
  queryKey: ['surface', () => props.surface, 'washing'],
  queryFn: () => ask(api.GET('/api/surfaces/{id}/washing', { params: { path: { id: props.surface } } })),
})
const by = computed(() => washing.data.value?.by)
const said = computed(() => {
  const { start, next } = washing.data.value ?? {}
  if (!start) return ''
  const at = { start: props.when(start), by: by.value ? props.when(by.value) : '', next: next ? props.when(next) : '' }
  return t(`hours.wash.${by.value ? 'by' : next ? 'next' : 'never'}`, at)
})
const show = (washed: string) => emit('take', { washedAt: washed }, t('hours.wash.did', { at: props.when(washed) }))
</script>

<template>
  <p v-if="said" class="small quiet">
    {{ said }}
    <ElButton v-if="by" link type="primary" @click="show(by)">{{ t('hours.acts.show') }}</ElButton>
  </p>
</template>
