<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { doubts } from '../shared/state/doubts'
import { useJobFields } from '../shared/state/fields'
import DoubtNote from '../shared/ui/DoubtNote.vue'

/** Fields of the job that were read and may have been meant otherwise, marked where the job is at home. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const typed = useJobFields(() => props.job)
const marked = computed(() => Object.values(doubts.of(`job.${props.job}`)))
</script>

<template>
  <ul v-if="marked.length" class="marked">
    <li v-for="doubt in marked" :key="doubt.field">
      <i18n-t keypath="writing.labelled" scope="global">
        <template #label>{{ t(`jobs.form.${doubt.field}`) }}</template>
        <template #value>
          <DoubtNote :doubt="doubt" @other="typed.put({ [doubt.field]: $event })" @right="typed.right(doubt.field)" />
        </template>
      </i18n-t>
      <em class="fault">{{ typed.faults.value[doubt.field] || typed.notice.value }}</em>
    </li>
  </ul>
</template>

<style scoped>
.marked {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
li {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
em {
  font-style: normal;
}
</style>
