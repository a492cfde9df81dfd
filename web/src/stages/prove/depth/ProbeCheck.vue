<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import { useCommandForm } from '@/shared/state/typedForm'
import type { Place } from '@/shared/keeping/kinds'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'

/** The probe held to a block of known thickness: only then its depths can be gone by. */
const props = defineProps<{ job: string; surface: string; place: () => Place }>()
const { t } = useI18n()
const reader = useReader()
const form = useCommandForm(() => `probeCheck.${props.surface}`, {}, props.place)
const { values, faults, notice, busy } = form
const done = ref(false)
const example = (us: string, metric: string) => (reader.units === 'us' ? us : metric)

async function save() {
  done.value = false
  done.value = (await form.submit(['block', 'depth'], { kind: 'probeChecked' })) !== 'refused'
}
</script>

<template>
  <FoldBox :title="t('prove.depth.block')">
    <form novalidate @submit.prevent="save">
      <p class="small">{{ t('prove.depth.blockLead') }}</p>
      <div class="fields">
        <FormField
          v-model="values.block"
          name="block"
          :label="t('prove.depth.blockField')"
          kind="length"
          :hint="example('2 in', '50 mm')"
          :fault="faults.block"
        />
        <FormField
          v-model="values.depth"
          name="probeReads"
          :label="t('prove.depth.readField')"
          kind="length"
          :hint="example('2 in', '50 mm')"
          :fault="faults.depth"
        />
      </div>
      <p v-if="notice" class="fault" role="alert">{{ notice }}</p>
      <ElButton type="primary" native-type="submit" class="large" :disabled="busy">{{
        t('prove.depth.save')
      }}</ElButton>
      <span v-if="done" class="small" role="status"> {{ t('prove.done') }}</span>
    </form>
  </FoldBox>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  max-width: 460px;
  margin-bottom: 10px;
}
.large {
  min-height: 48px;
}
</style>
