<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '@/shared/state/session'

/** Whose money the figures beside it are in; nothing where the firm has not told its sign. */
const { t } = useI18n()
const session = useSession()
const currency = computed(() => session.person?.currency ?? '')
</script>

<template>
  <p v-if="currency" class="small quiet">{{ t('price.currency', { currency }) }}</p>
</template>
