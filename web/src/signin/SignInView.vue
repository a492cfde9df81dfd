<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import DoorPage from './DoorPage.vue'
import SignInForm from './SignInForm.vue'
import { whereTo } from './whereTo'

const route = useRoute()
const router = useRouter()
const { t } = useI18n()

const go = () => void router.replace(whereTo(route))
</script>

<template>
  <DoorPage>
    <h1>{{ t('signIn.title') }}</h1>
    <p class="quiet">{{ t('signIn.lead') }}</p>
    <SignInForm @done="go" />
  </DoorPage>
</template>
