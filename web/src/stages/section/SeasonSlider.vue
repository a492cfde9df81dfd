<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { SUMMER, WINTER } from './useSeason'

/** Winter design, the months, summer design: one slide through the year. */
const season = defineModel<number>({ required: true })
defineProps<{ months: boolean }>()
const { t } = useI18n()

const name = computed(() =>
  season.value === WINTER
    ? t('section.season.winter')
    : season.value === SUMMER
      ? t('section.season.summer')
      : t(`month.${season.value}`),
)
</script>

<template>
  <div class="season no-print">
    <ElButton class="end" :aria-pressed="season === WINTER" @click="season = WINTER">
      {{ t('section.season.winter') }}
    </ElButton>
    <template v-if="months">
      <div class="slide">
        <ElSlider
          v-model="season"
          :min="WINTER"
          :max="SUMMER"
          :show-tooltip="false"
          :aria-label="t('section.season.title')"
          :format-value-text="() => name"
        />
        <div class="ticks" aria-hidden="true">
          <span v-for="i in 12" :key="i" :class="{ on: season === i }" @click="season = i">{{
            t(`monthShort.${i}`)
          }}</span>
        </div>
      </div>
    </template>
    <ElButton class="end" :aria-pressed="season === SUMMER" @click="season = SUMMER">
      {{ t('section.season.summer') }}
    </ElButton>
  </div>
</template>

<style scoped>
.season {
  display: flex;
  gap: 14px;
  align-items: center;
  margin: 4px 0 8px;
}
.end {
  --el-button-text-color: var(--ink);
  --el-button-border-color: var(--field-line);
  padding: 4px 12px;
  flex: none;
  font-size: var(--text-s);
  font-weight: 400;
}
.end[aria-pressed='true'] {
  border: 2px solid var(--copper);
  font-weight: 700;
}
.slide {
  flex: 1;
  min-width: 0;
}
/* Fourteen stops: the months stand between the two designs. */
.ticks {
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  margin: 0 calc(100% / 14 / 2.2);
  font-size: var(--text-s);
  color: var(--ink-2);
  text-align: center;
}
.ticks .on {
  color: var(--ink);
  font-weight: 700;
}
.ticks span {
  cursor: pointer;
}
@media (width <= 700px) {
  .season {
    flex-wrap: wrap;
  }
  .slide {
    order: 3;
    flex-basis: 100%;
  }
  .ticks span {
    font-size: 0;
  }
  .ticks span::first-letter {
    font-size: var(--text-s);
  }
}
</style>
