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
    :class="{ urgent, lost: connection.lost }"
    :title="t('unsent.lead')"
    @click="open = true"
  >
    {{ t(connection.lost ? 'unsent.lost' : 'unsent.count', { count: unsentCount }) }}
  </button>
  <UnsentDialog v-if="open" @close="open = false" />
</template>

<style scoped>
/* What goes within a moment need not be told. */
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
  animation: appear 0s 0.8s both;
}
.unsent.urgent,
.unsent.lost {
  background: var(--bar-ink);
  color: var(--bar);
  font-weight: 650;
  animation: none;
}
.unsent:focus-visible {
  outline-color: #f0b489;
}
@keyframes appear {
  from {
    visibility: hidden;
  }
  to {
    visibility: visible;
  }
}
</style>
