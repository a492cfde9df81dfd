<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import { useReader } from '@/shared/state/reader'
import { useCommandForm } from '@/shared/state/typedForm'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import { DEFECTS } from './defectKinds'

/** A defect that was found: what, where, how large. */
const props = defineProps<{
  job: string
  surface: string
  place: () => Place
  places: readonly Schemas['DepthPlaceAnswer'][]
}>()
const { t } = useI18n()
const reader = useReader()
const form = useCommandForm(() => `defect.${props.surface}`, { defect: '', spot: '' }, props.place)
const { values, faults, notice, busy } = form
const missing = ref('')
const kinds = computed(() => DEFECTS.map((value) => ({ value, text: t(`prove.defect.${value}`) })))
const spots = computed(() => [
  { value: '', text: '' },
  ...props.places.map(({ number, kind }) => ({
    value: `${number}`,
    text: t('prove.depth.place', { number, kind: t(`prove.placeKind.${kind}`) }),
  })),
])
const size = computed(() => t('prove.defects.sizeHint', { example: reader.units === 'us' ? '2 ft2' : '0.2 m2' }))

async function save() {
  missing.value = values.defect ? '' : t('problem.field.empty')
  if (missing.value) return
  const at = props.places.find(({ number }) => `${number}` === values.spot)
  const where: Record<string, string> = at ? { spotKind: at.kind, spotX: `${at.acrossM}`, spotY: `${at.upM}` } : {}
  await form.submit([], { kind: 'defect', ...where })
}
</script>

<template>
  <FoldBox :title="t('prove.defects.add')" class="add">
    <form novalidate @submit.prevent="save">
      <div class="fields">
        <PickField
          v-model="values.defect"
          name="defect"
          :label="t('prove.defects.kind')"
          :options="kinds"
          :fault="faults.defect || missing"
        />
        <PickField v-model="values.spot" name="spot" :label="t('prove.defects.place')" :options="spots" />
        <FormField
          v-model="values.size"
          name="size"
          :label="t('prove.defects.size')"
          :hint="size"
          :fault="faults.size"
        />
        <FormField
          v-model="values.words"
          name="words"
          class="wide"
          :label="t('prove.defects.words')"
          :fault="faults.words"
        />
      </div>
      <p v-if="notice" class="fault" role="alert">{{ notice }}</p>
      <ElButton type="primary" native-type="submit" class="large" :disabled="busy">{{
        t('prove.defects.save')
      }}</ElButton>
    </form>
  </FoldBox>
</template>

<style scoped>
.add {
  margin-bottom: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  margin-bottom: 10px;
}
.wide {
  grid-column: 1 / -1;
}
.large {
  min-height: 48px;
}
</style>
