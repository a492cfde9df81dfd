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
  <button
    v-if="unsentCount"
    type="button"
    class="unsent"
    :class="{ urgent, lost: connection.lost, 'after-a-moment': !urgent && !connection.lost }"
    :title="t('unsent.lead')"
    @click="open = true"
  >
    {{ t(connection.lost ? `unsent.lost.${connection.why}` : 'unsent.count', { count: unsentCount }) }}
  </button>
  <UnsentDialog v-if="open" @close="open = false" />
</template>

<style scoped>
.unsent {
  border: 1px solid #ffffff45;
  border-radius: 22px;
  background: none;
  color: inherit;
  min-height: 44px;
  padding: 0 14px;
  font-size: var(--text-s);
  white-space: nowrap;
  cursor: pointer;
}
.unsent.urgent,
.unsent.lost {
  background: var(--bar-ink);
  color: var(--bar);
  font-weight: 650;
}
.unsent:focus-visible {
  outline-color: #f0b489;
}
</style>
