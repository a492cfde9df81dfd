<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { behind } from '../keeping/unsent'

/** Says on a page of figures that something entered is not in them yet. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const count = computed(() => behind(props.job))
</script>

<template>
  <p v-if="count" class="behind after-a-moment" role="status">{{ t('unsent.behind', { count }) }}</p>
</template>

<style scoped>
.behind {
  background: var(--sheet);
  border-left: 5px solid var(--care);
  padding: 10px 16px;
  margin-bottom: 12px;
}
</style>
