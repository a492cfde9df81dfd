<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/** A time zone by its usual name. The device's own comes first: most places are where the person is. */
defineProps<{ id: string }>()
const zone = defineModel<string>({ required: true })
const { t } = useI18n()

const own = Intl.DateTimeFormat().resolvedOptions().timeZone
const zones = computed(() => [own, ...Intl.supportedValuesOf('timeZone').filter((one) => one !== own)])
</script>

<template>
  <ElSelect
    :id="id"
    v-model="zone"
    filterable
    clearable
    value-on-clear=""
    :placeholder="t('places.zoneHint')"
    :no-match-text="t('places.noZone')"
  >
    <ElOption v-for="one in zones" :key="one" :value="one" :label="one.replaceAll('_', ' ')" />
  </ElSelect>
</template>
