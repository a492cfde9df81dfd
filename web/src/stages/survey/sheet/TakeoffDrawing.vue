<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSketch } from '@/shared/state/survey'
import FigureText from '@/shared/ui/FigureText.vue'

/** The surface to scale from its numbers: faces, openings, members. */
const props = defineProps<{ surface: Surface }>()
const { t } = useI18n()
const reader = useReader()
const sketch = useSketch(() => props.surface.id)

const WIDE = 640
const HIGH = 210
const drawing = computed(() => {
  const s = sketch.data.value
  if (!s) return null
  const scale = Math.min((WIDE - 8) / s.widthM, (HIGH - 8) / s.heightM)
  const place = (xy: readonly number[]) =>
    Array.from(
      { length: xy.length / 2 },
      (_, i) => `${4 + xy[2 * i]! * scale},${4 + (s.heightM - xy[2 * i + 1]!) * scale}`,
    )
  const paths = (list: readonly { xy: number[] }[]) => list.map((path) => place(path.xy).join(' '))
  return {
    width: s.widthM * scale + 8,
    height: s.heightM * scale + 8,
    faces: paths(s.faces),
    openings: paths(s.openings),
    members: paths(s.members),
  }
})
</script>

<template>
  <section class="takeoff">
    <h2>{{ t('survey.sheet.takeoff') }}</h2>
    <p v-if="sketch.data.value === null" class="quiet">{{ t('survey.sheet.noSize') }}</p>
    <figure v-else-if="drawing">
      <svg
        :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
        :width="drawing.width"
        :height="drawing.height"
        role="img"
        :aria-label="t('survey.sheet.drawing', { name: surface.name, size: surface.size?.[reader.units] ?? '' })"
      >
        <polygon v-for="(face, i) in drawing.faces" :key="`f${i}`" :points="face" class="face" />
        <polyline v-for="(member, i) in drawing.members" :key="`m${i}`" :points="member" class="member" />
        <polygon v-for="(opening, i) in drawing.openings" :key="`o${i}`" :points="opening" class="opening" />
      </svg>
      <figcaption class="small quiet">
        {{ surface.size?.[reader.units]
        }}<template v-if="surface.repeats > 1"> · {{ t('survey.sheet.alike', { count: surface.repeats }) }}</template
        ><template v-if="surface.openings">
          · {{ t('survey.sheet.less', { openings: surface.openings[reader.units] }) }}</template
        >
        <br />{{ t('survey.sheet.spread') }}
      </figcaption>
    </figure>
    <dl v-if="surface.treatedArea && surface.sprayedArea">
      <div>
        <dt>{{ t('survey.sheet.treated') }}</dt>
        <dd><FigureText :figure="surface.treatedArea.figure" :working="surface.treatedArea.working" /></dd>
      </div>
      <div>
        <dt>{{ t('survey.sheet.sprayed') }}</dt>
        <dd><FigureText :figure="surface.sprayedArea.figure" :working="surface.sprayedArea.working" /></dd>
      </div>
      <div>
        <dt>{{ t('survey.sheet.labour') }}</dt>
        <dd>× {{ reader.print(surface.details.accessFactor) }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  max-width: 100%;
  height: auto;
}
.face {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.member {
  fill: none;
  stroke: var(--wood);
  stroke-width: 2;
}
.opening {
  fill: var(--daylight);
  stroke: var(--ink-2);
}
figcaption {
  margin-top: 6px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 28px;
  margin: 12px 0 0;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font: 650 1.15rem var(--head);
}
</style>
