<script setup lang="ts">
import { computed, nextTick, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import TypeIn from '@/shared/typing/TypeIn.vue'
import SheetCurve from './SheetCurve.vue'
import { keysForPoint, type SheetCurve as Curve } from './sheets'
import type { SheetForm } from './useSheetForm'

/** The points of a curve as they are typed, and the curve as it reads so far beside them. */
const props = defineProps<{ form: SheetForm; curve: Curve; drawn: Curve }>()
const { t } = useI18n()
const { values } = props.form
const { listed } = useWriting()
const rows = useTemplateRef<HTMLElement>('rows')
const name = computed(() => t(`sheets.line.${props.curve.path}`))
const places = computed(() => (values[props.curve.path] ?? '').split(',').filter(Boolean))
const fieldOf = (place: string, of: string) => `${props.curve.path}.${place}.${of}`
const put = (next: readonly string[]) => (values[props.curve.path] = next.join(','))

async function add() {
  const taken = places.value.map((place) => Number(place.replace('n', '')) + 1)
  put([...places.value, `n${Math.max(0, ...taken)}`])
  await nextTick()
  rows.value?.querySelector<HTMLElement>('.row:last-child input')?.focus()
}
</script>

<template>
  <div class="curve" role="group" :aria-label="name">
    <div>
      <h3>{{ name }}</h3>
      <p v-if="form.faults.value[curve.path]" class="fault" role="alert">{{ form.faults.value[curve.path] }}</p>
      <div ref="rows" class="rows">
        <div v-for="(place, i) in places" :key="place" class="row">
          <span v-for="of in [curve.x, curve.y]" :key="of" class="cell">
            <TypeIn
              v-model="values[fieldOf(place, of)]"
              autocomplete="off"
              :kind="keysForPoint(of)"
              :placeholder="t(`sheets.point.${of}`)"
              :aria-label="listed([t(`sheets.point.${of}`), t('sheets.curve.at', { n: i + 1 })])"
              :aria-invalid="!!form.faults.value[fieldOf(place, of)]"
              :aria-describedby="`${curve.path}-${place}-${of}`"
            />
            <em :id="`${curve.path}-${place}-${of}`" class="fault">{{ form.faults.value[fieldOf(place, of)] }}</em>
          </span>
          <ElButton
            link
            type="primary"
            :aria-label="listed([t('sheets.curve.remove'), t('sheets.curve.at', { n: i + 1 })])"
            @click="put(places.filter((one) => one !== place))"
          >
            {{ t('sheets.curve.remove') }}
          </ElButton>
        </div>
      </div>
      <ElButton link type="primary" @click="add">{{ t('sheets.curve.add') }}</ElButton>
    </div>
    <SheetCurve :curve="drawn" />
  </div>
</template>

<style scoped>
.curve {
  display: grid;
  grid-template-columns: minmax(280px, 400px) minmax(260px, 1fr);
  gap: 10px 30px;
  margin-top: 18px;
}
@media (width <= 820px) {
  .curve {
    grid-template-columns: 1fr;
  }
}
h3 {
  font-size: 1rem;
  margin-bottom: 6px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 6px 10px;
  align-items: start;
  margin-bottom: 6px;
}
.cell em {
  display: block;
  font-style: normal;
  font-size: var(--text-s);
}
.cell em:empty {
  display: none;
}
</style>
