<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useSession } from '../shared/state/session'
import SignInForm from './SignInForm.vue'

/** Over whatever is on the screen, so that nothing typed is lost. */
const session = useSession()
const { t } = useI18n()
</script>

<template>
  <ElDialog
    :model-value="true"
    :title="t('signIn.again')"
    width="min(440px, 94vw)"
    append-to-body
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <p class="lead">{{ t('signIn.againLead') }}</p>
    <SignInForm :start-with="session.person?.signInName" />
  </ElDialog>
</template>

<style scoped>
.lead {
  margin-bottom: 14px;
  color: var(--ink);
}
</style>
