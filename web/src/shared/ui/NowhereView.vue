<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { RouterLink } from 'vue-router'
const { t } = useI18n()
</script>

<template>
  <main class="nowhere">
    <h1>{{ t('app.notHere') }}</h1>
    <ElButton type="primary" :tag="RouterLink" :to="{ name: 'jobs' }">{{ t('app.toJobs') }}</ElButton>
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
