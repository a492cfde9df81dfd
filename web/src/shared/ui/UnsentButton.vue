<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { connection } from '../keeping/connection'
import { unsent, unsentCount } from '../keeping/unsent'

/** How much has been entered and not been taken yet, on every page; leads to the list of it. */
const UnsentDialog = defineAsyncComponent(() => import('./UnsentDialog.vue'))
const { t } = useI18n()
const open = ref(false)
const urgent = computed(() => unsent.value.some((one) => one.state === 'met' || one.state === 'refused'))
</script>

<template>
  <ElButton
    v-if="unsentCount"
    class="unsent"
    :class="{ urgent, lost: connection.lost, 'after-a-moment': !urgent && !connection.lost }"
    :title="t('unsent.lead')"
    @click="open = true"
  >
    {{ t(connection.lost ? `unsent.lost.${connection.why}` : 'unsent.count', { count: unsentCount }) }}
  </ElButton>
  <UnsentDialog v-if="open" @close="open = false" />
</template>

<style scoped>
.unsent.urgent,
.unsent.lost {
  --el-button-bg-color: var(--bar-ink);
  --el-button-text-color: var(--bar);
  --el-button-hover-bg-color: var(--bar-ink);
  --el-button-hover-text-color: var(--bar);
  font-weight: 650;
}
</style>
