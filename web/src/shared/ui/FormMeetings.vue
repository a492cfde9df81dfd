<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Meeting } from '../state/typed'
import MeetingNote from './MeetingNote.vue'

/** Every field of a form that someone else changed too. */
defineProps<{
  meetings: readonly Meeting[]
  /** Where the fields are named in the catalogue. */
  book: string
}>()
defineEmits<{ decide: [field: string, which: 'mine' | 'theirs'] }>()
const { t } = useI18n()
</script>

<template>
  <MeetingNote
    v-for="one in meetings"
    :key="one.field"
    :label="t(`${book}.${one.field}`)"
    :meeting="one"
    @decide="$emit('decide', one.field, $event)"
  />
</template>
