<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import { useReader } from '@/shared/state/reader'
import { useCommandForm } from '@/shared/state/typedForm'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Whether the ventilation runs, and how much air it moves: without that its hours do not count. */
const props = defineProps<{
  surface: string
  told: Schemas['ReEntryOfJob']
  place: () => Place
  locked: boolean
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const form = useCommandForm(() => `air.${props.surface}`, {}, props.place)
const { values, faults, notice, busy } = form
const state = computed(() =>
  t(`prove.reEntry.${props.told.ventilated === null ? 'unventilated' : props.told.ventilated ? 'isOn' : 'isOff'}`),
)
const isUnread = computed(() => props.told.ventilated === true && props.told.airChanges === null)
const room = computed(() => props.told.roomVolume?.[reader.units] ?? (reader.units === 'us' ? '12,000 ft3' : '340 m3'))

function save() {
  const typed = Object.fromEntries(
    ['airChanges', 'airFlow', 'roomVolume'].map((field) => [field, values[field] ?? '']).filter(([, text]) => text),
  ) as Record<string, string>
  return form.submitOnly({ kind: 'ventilationRead', ...typed })
}
</script>

<template>
  <section class="air">
    <h2>{{ t('prove.reEntry.air') }}</h2>
    <p class="now">
      <b>{{ state }}</b>
      <span v-if="told.airChanges">{{ t('prove.reEntry.airNow', { changes: reader.print(told.airChanges) }) }}</span>
      <template v-if="!locked">
        <ElButton v-if="!told.ventilated" class="large" @click="emit('say', { kind: 'ventilationOn' })">{{
          t('prove.reEntry.on')
        }}</ElButton>
        <ElButton v-else class="large" @click="emit('say', { kind: 'ventilationOff' })">{{
          t('prove.reEntry.off')
        }}</ElButton>
      </template>
    </p>
    <FoldBox v-if="!locked" :title="t('prove.reEntry.airChanges')" :opened="isUnread">
      <form novalidate @submit.prevent="save">
        <p class="small">{{ t('prove.reEntry.airLead') }}</p>
        <div class="fields">
          <FormField
            v-model="values.airChanges"
            name="airChanges"
            :label="t('prove.reEntry.airChanges')"
            hint="8"
            :fault="faults.airChanges"
          />
          <FormField
            v-model="values.airFlow"
            name="airFlow"
            :label="t('prove.reEntry.airFlow')"
            :hint="reader.units === 'us' ? '2000 cfm' : '3400 m3/h'"
            :fault="faults.airFlow"
          />
          <FormField
            v-model="values.roomVolume"
            name="roomVolume"
            :label="t('prove.reEntry.roomVolume')"
            :hint="room"
            :fault="faults.roomVolume"
          />
        </div>
        <p v-if="notice" class="fault" role="alert">{{ notice }}</p>
        <ElButton native-type="submit" class="large" :disabled="busy">{{ t('prove.reEntry.save') }}</ElButton>
      </form>
    </FoldBox>
  </section>
</template>

<style scoped>
.now {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  margin-bottom: 10px;
}
.large {
  min-height: 48px;
}
.air {
  margin: 12px 0;
}
</style>
