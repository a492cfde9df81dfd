<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** A place's twelve months: a stroke as high as the mean is warm, and both means beneath it. */
const props = defineProps<{ place: Schemas['PlaceAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const span = computed(() => {
  const temps = props.place.temps.map((one) => one.amount)
  const [low, high] = [Math.min(...temps), Math.max(...temps)]
  return temps.map((one) => (high > low ? (one - low) / (high - low) : 0.5))
})
</script>

<template>
  <div class="scroll" role="region" :aria-label="t('places.means', { name: place.name })" tabindex="0">
    <table class="months small">
      <thead>
        <tr>
          <td />
          <th v-for="i in 12" :key="i" scope="col">
            <span class="stroke" aria-hidden="true" :style="{ height: `${4 + 26 * span[i - 1]!}px` }" />
            {{ t(`monthShort.${i}`) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{{ t('places.temp') }}</th>
          <td v-for="(one, i) in place.temps" :key="i">{{ reader.print(one) }}</td>
        </tr>
        <tr>
          <th scope="row">{{ t('places.humidity') }}</th>
          <td v-for="(one, i) in place.humidities" :key="i">{{ reader.print(one) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.months {
  border-collapse: collapse;
  width: 100%;
  min-width: 820px;
  table-layout: fixed;
}
.months th,
.months td {
  text-align: right;
  padding: 2px 6px;
  font-variant-numeric: tabular-nums;
  vertical-align: bottom;
  font-weight: 400;
}
.months th[scope='row'] {
  text-align: left;
}
.months thead td {
  width: 110px;
}
.stroke {
  display: block;
  margin-left: auto;
  width: 14px;
  background: var(--copper);
  opacity: 0.75;
  border-radius: 2px 2px 0 0;
}
</style>
