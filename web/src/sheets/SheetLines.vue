<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import SheetCurve from './SheetCurve.vue'
import { PARTS, type Sheet, type SheetLine } from './sheets'

/** All that stands on a sheet, part by part. */
const props = defineProps<{ sheet: Sheet }>()
const { t } = useI18n()
const reader = useReader()
const changed = computed(() => props.sheet.editions.find(({ number }) => number === props.sheet.number)?.changed ?? [])
const parts = computed(() =>
  PARTS.map((part) => ({
    part,
    lines: props.sheet.lines.filter((line) => line.part === part),
    curves: props.sheet.curves.filter((curve) => curve.part === part),
  })),
)
const said = ({ figure, text, words }: SheetLine) =>
  figure ? reader.print(figure) : text ? (words.length ? t(`sheets.word.${text}`) : text) : t('sheets.blank')
</script>

<template>
  <section v-for="{ part, lines, curves } in parts" :key="part">
    <h2>{{ t(`sheets.part.${part}`) }}</h2>
    <dl>
      <div v-for="line in lines" :key="line.path" :class="{ changed: changed.includes(line.path) }">
        <dt>{{ t(`sheets.line.${line.path}`) }}</dt>
        <dd>
          {{ said(line) }}
          <span v-if="changed.includes(line.path)" class="small quiet">{{ t('sheets.changed') }}</span>
        </dd>
      </div>
    </dl>
    <div v-if="curves.length" class="curves">
      <figure v-for="curve in curves" :key="curve.path">
        <figcaption>
          {{ t(`sheets.line.${curve.path}`) }}
          <span v-if="changed.includes(curve.path)" class="small quiet">{{ t('sheets.changed') }}</span>
        </figcaption>
        <SheetCurve :curve="curve" />
        <ul class="points" :aria-label="t(`sheets.line.${curve.path}`)">
          <li v-for="(point, i) in curve.points" :key="i">
            {{ t('sheets.curve.point', { x: reader.print(point.x), y: reader.print(point.y) }) }}
          </li>
        </ul>
      </figure>
    </div>
  </section>
</template>

<style scoped>
section {
  border-top: 1px solid var(--line);
  padding: 12px 0 16px;
  break-inside: avoid;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px 22px;
  margin: 8px 0 0;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
dd {
  margin: 0;
  font-weight: 650;
  overflow-wrap: anywhere;
}
.changed {
  box-shadow: inset 4px 0 var(--copper);
  padding-left: 10px;
}
.curves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px 26px;
  margin-top: 16px;
}
figure {
  margin: 0;
}
.points {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
figcaption .small {
  margin-left: 12px;
}
figcaption {
  font-size: var(--text-s);
  color: var(--ink-2);
}
</style>
