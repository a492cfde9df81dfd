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
    <button type="button" class="end" :aria-pressed="season === WINTER" @click="season = WINTER">
      {{ t('section.season.winter') }}
    </button>
    <template v-if="months">
      <label class="visually-hidden" for="season">{{ t('section.season.title') }}</label>
      <div class="slide">
        <input
          id="season"
          v-model.number="season"
          type="range"
          :min="WINTER"
          :max="SUMMER"
          step="1"
          :aria-valuetext="name"
        />
        <div class="ticks" aria-hidden="true">
          <span v-for="i in 12" :key="i" :class="{ on: season === i }" @click="season = i">{{
            t(`monthShort.${i}`)
          }}</span>
        </div>
      </div>
    </template>
    <button type="button" class="end" :aria-pressed="season === SUMMER" @click="season = SUMMER">
      {{ t('section.season.summer') }}
    </button>
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
  flex: none;
  min-height: 44px;
  padding: 0 12px;
  font: inherit;
  font-size: var(--text-s);
  color: var(--ink);
  background: none;
  border: 1px solid var(--field-line);
  border-radius: 22px;
  cursor: pointer;
}
.end[aria-pressed='true'] {
  border: 2px solid var(--copper);
  font-weight: 700;
}
.slide {
  flex: 1;
  min-width: 0;
}
input {
  width: 100%;
  margin: 0;
  min-height: 26px;
  accent-color: var(--copper);
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
