<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import FormField from '@/shared/ui/FormField.vue'

/** What is left in the open drum: by dip stick, by the weight of the liquid alone, or by strokes of the pump since the level before. */
const props = defineProps<{
  /** Whether a level is known that strokes can go on from. */
  isKnown: boolean
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const WAYS = ['dip', 'scale', 'strokes'] as const
// The pump is the same tomorrow.
const way = useLocalStorage<(typeof WAYS)[number]>('drums.way', 'dip')
const strokesOfDrum = useLocalStorage('drums.strokes', '')
const FIELD = { dip: 'dip', scale: 'weight', strokes: 'strokes' } as const
const EXAMPLE = {
  dip: { us: '11 1/2 in', metric: '29 cm' },
  scale: { us: '220 lb', metric: '100 kg' },
  strokes: { us: '120', metric: '120' },
}
const text = ref('')
const fault = ref('')
const example = computed(() => t('spray.drums.dipExample', { example: EXAMPLE[way.value][reader.units] }))

function save() {
  const typed = text.value.trim()
  const isLacking = !typed || (way.value === 'strokes' && !strokesOfDrum.value.trim())
  fault.value = isLacking ? t('problem.field.empty') : ''
  if (way.value === 'strokes' && !props.isKnown) fault.value = t('spray.drums.noLevel')
  if (fault.value) return
  emit('say', {
    [FIELD[way.value]]: typed,
    ...(way.value === 'strokes' ? { strokesOfDrum: strokesOfDrum.value.trim() } : {}),
  })
}
</script>

<template>
  <form novalidate @submit.prevent="save">
    <div class="ways" role="group" :aria-label="t('spray.drums.by')">
      <ElButton v-for="one in WAYS" :key="one" :aria-pressed="way === one" @click="way = one">{{
        t(`spray.drums.way.${one}`)
      }}</ElButton>
    </div>
    <div class="line">
      <FormField
        v-model="text"
        :name="FIELD[way]"
        :label="t(`spray.drums.${FIELD[way]}`)"
        :hint="example"
        :kind="way === 'dip' ? 'length' : undefined"
        :fault="fault"
      />
      <FormField
        v-if="way === 'strokes'"
        v-model="strokesOfDrum"
        name="strokesOfDrum"
        :label="t('spray.drums.strokesOfDrum')"
      />
      <ElButton native-type="submit" type="primary" class="large">{{ t('spray.drums.level') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 6px;
  margin-bottom: 6px;
}
.ways .el-button {
  min-height: 48px;
  margin: 0;
  flex: 1;
}
.ways [aria-pressed='true'] {
  border-width: 3px;
  font-weight: 650;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-bottom: 8px;
}
.large {
  min-height: 56px;
  margin: 0;
  flex: 1 1 120px;
}
</style>
