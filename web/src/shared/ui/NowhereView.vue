<script setup lang="ts">
import { useI18n } from 'vue-i18n'
const { t } = useI18n()
</script>

<template>
  <main class="nowhere">
    <h1>{{ t('app.notHere') }}</h1>
    <RouterLink class="button main" :to="{ name: 'jobs' }">{{ t('app.toJobs') }}</RouterLink>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 60px 24px;
  display: grid;
  gap: 20px;
  justify-items: start;
}
</style>
