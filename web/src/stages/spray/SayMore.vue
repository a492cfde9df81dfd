<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import FormField from '@/shared/ui/FormField.vue'

/** What else happens while one sprays: a probe, a stop with its reason, a defect, a note. */
defineProps<{ probes: boolean }>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const REASONS = ['gun', 'rig', 'drums', 'foam', 'weather', 'people', 'break', 'other']
type What = 'probe' | 'stopped' | 'defect' | 'note'
const what = ref<What>()
const text = ref('')
const fault = ref(false)
const field = computed(() => (what.value === 'probe' ? 'read' : 'words'))
const example = computed(() => t('spray.probe.example', { example: reader.units === 'us' ? '95 °F' : '35 °C' }))

function open(one: What) {
  what.value = what.value === one ? undefined : one
  text.value = ''
  fault.value = false
}

function save() {
  fault.value = !text.value.trim()
  if (fault.value) return
  emit('say', { kind: what.value!, [field.value]: text.value.trim() })
  what.value = undefined
}

function stop(reason: string) {
  emit('say', { kind: 'stopped', reason })
  what.value = undefined
}
</script>

<template>
  <div class="more">
    <ElButton v-if="probes" class="large" :aria-expanded="what === 'probe'" @click="open('probe')">{{
      t('spray.probe.title')
    }}</ElButton>
    <ElButton class="large" :aria-expanded="what === 'stopped'" @click="open('stopped')">{{
      t('spray.stopped.title')
    }}</ElButton>
    <ElButton
      v-for="one in ['defect', 'note'] as const"
      :key="one"
      class="large"
      :aria-expanded="what === one"
      @click="open(one)"
      >{{ t(`spray.more.${one}`) }}</ElButton
    >
  </div>
  <div v-if="what === 'stopped'" class="reasons">
    <ElButton v-for="reason in REASONS" :key="reason" class="large" @click="stop(reason)">{{
      t(`spray.reason.${reason}`)
    }}</ElButton>
  </div>
  <form v-else-if="what" class="says" novalidate @submit.prevent="save">
    <p v-if="what === 'probe'" class="small">{{ t('spray.probe.lead') }}</p>
    <FormField
      v-model="text"
      :name="field"
      :label="t(what === 'probe' ? 'spray.probe.field' : 'spray.more.words')"
      :hint="what === 'probe' ? example : undefined"
      :kind="what === 'probe' ? 'temperature' : undefined"
      :fault="fault ? t('problem.field.empty') : undefined"
    />
    <ElButton type="primary" native-type="submit" class="large">{{
      t(what === 'probe' ? 'spray.probe.save' : 'spray.more.save')
    }}</ElButton>
  </form>
</template>

<style scoped>
.more,
.reasons {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(78px, 1fr));
  gap: 8px;
  margin-bottom: 10px;
}
.reasons {
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
}
.more .large,
.reasons .large,
.says .large {
  min-height: 64px;
  width: 100%;
  margin: 0;
  padding: 8px;
  white-space: normal;
  height: auto;
}
.says {
  margin-bottom: 14px;
}
.says .large {
  margin-top: 8px;
}
</style>
