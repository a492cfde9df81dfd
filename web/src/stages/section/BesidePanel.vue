<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import PickField from '@/shared/ui/PickField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Beside } from './useBeside'

/** Picks a system to draw beside the one at hand, and sets the figures of both side by side. */
const props = defineProps<{
  wanted: boolean
  picked: string
  options: { id: string; text: string }[]
  fault: string
  own: Schemas['SectionAnswer']
  beside: Beside | null
}>()
defineEmits<{ want: []; pick: [id: string] }>()
const { t } = useI18n()
const reader = useReader()

const FIGURES = [
  'thickness',
  'foamR',
  'wholeU',
  'foamPermeance',
  'heatCut',
  'lifts',
  'weight',
  'insideSurface',
] as const
const others = computed(() => [
  { value: '', text: t('section.beside.none') },
  ...props.options.map((one) => ({ value: one.id, text: one.text })),
])
const pair = computed(() => (props.beside ? [props.own, props.beside.answer] : []))
const dewOf = (answer: Schemas['SectionAnswer']) =>
  answer.nearestDew.crosses
    ? t('section.beside.crosses', { place: t(`material.${answer.nearestDew.key}`) })
    : t('section.beside.clear', { margin: reader.print(answer.nearestDew.margin) })
const classOf = (answer: Schemas['SectionAnswer']) => t(`section.class.${answer.foamClass}`)
</script>

<template>
  <div class="beside small">
    <ElButton v-if="!wanted" link type="primary" @click="$emit('want')">{{ t('section.beside.open') }}</ElButton>
    <template v-else>
      <p v-if="!options.length && !fault" role="status">{{ t('section.beside.loading') }}</p>
      <PickField
        v-if="options.length"
        class="pick"
        :model-value="picked"
        :label="t('section.beside.pick')"
        :options="others"
        @update:model-value="$emit('pick', $event ?? '')"
      />
      <p v-if="fault" class="fault" role="alert">{{ t('section.beside.failed', { reason: fault }) }}</p>
      <table v-if="beside">
        <thead>
          <tr>
            <td></td>
            <th scope="col">{{ t('section.beside.here') }}</th>
            <th scope="col">{{ beside.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="key in FIGURES" :key="key">
            <th scope="row">{{ t(`section.beside.rows.${key}`) }}</th>
            <td v-for="(answer, i) in pair" :key="i">
              {{ reader.print(answer.figures[key]?.figure) }}
              <template v-if="key === 'foamPermeance'">· {{ classOf(answer) }}</template>
            </td>
          </tr>
          <tr>
            <th scope="row">{{ t('section.beside.rows.dew') }}</th>
            <td v-for="(answer, i) in pair" :key="i">{{ dewOf(answer) }}</td>
          </tr>
          <tr>
            <th scope="row">{{ t('section.beside.rows.verdict') }}</th>
            <td v-for="(answer, i) in pair" :key="i"><VerdictMark :verdict="answer.verdict" /></td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.beside {
  margin: 6px 0 12px;
}
.pick {
  max-width: 420px;
}
table {
  border-collapse: collapse;
  margin-top: 10px;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 14px 5px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
thead th {
  font-weight: 650;
  border-top: 0;
}
tbody th {
  color: var(--ink-2);
}
</style>
