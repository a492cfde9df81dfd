<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useCandidateText } from '@/shared/figures/candidateText'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Candidate } from './useChooseDesk'

/** Where what is planned is no longer what the chosen system would have today: both, and one step to today's. */
const props = defineProps<{ planned: readonly Schemas['CandidateLayer'][]; chosen: Candidate; mayAdopt: boolean }>()
defineEmits<{ adopt: [] }>()
const { t } = useI18n()
const words = useCandidateText()
// As people read them: less than what is printed makes no difference on the wall.
const planned = computed(() => words.layers(props.planned))
const today = computed(() => words.layers(props.chosen.layers, props.chosen.boards))
</script>

<template>
  <p v-if="planned && planned !== today" class="drift" role="status">
    <VerdictMark verdict="care" :size="16" />
    <span>{{ t('choose.drift', { planned, today }) }}</span>
    <ElButton v-if="mayAdopt" link type="primary" @click="$emit('adopt')">{{ t('choose.adopt') }}</ElButton>
  </p>
</template>

<style scoped>
.drift {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
}
</style>
