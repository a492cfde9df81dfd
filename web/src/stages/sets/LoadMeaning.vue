<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import FigureText from '@/shared/ui/FigureText.vue'

/** What a load means: the chance that it does not suffice, and what comes back or is missing at the median. */
defineProps<{ load: Schemas['SetsLoadAnswer'] }>()
</script>

<template>
  <i18n-t :keypath="load.leftOverBoardFeet < 0 ? 'sets.missingLead' : 'sets.loadLead'" scope="global">
    <template #chance><FigureText :figure="load.chanceShort.figure" :working="load.chanceShort.working" /></template>
    <template #left><FigureText :figure="load.leftOver.figure" :working="load.leftOver.working" /></template>
  </i18n-t>
</template>
