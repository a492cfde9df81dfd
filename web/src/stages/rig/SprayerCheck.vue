<script setup lang="ts">
import { v7 } from 'uuid'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { useCommandForm } from '@/shared/state/typedForm'
import { useTimes } from '@/shared/state/times'
import FormField from '@/shared/ui/FormField.vue'

/** Who sprays, protected and fit: on record before the first trigger of the day. */
const props = defineProps<{ job: string; surface: string; rig: Schemas['RigOfSurface'] }>()
const { t } = useI18n()
const session = useSession()
const times = useTimes(() => props.job)
const form = useCommandForm(
  () => `sprayer.${props.job}`,
  { protected: '' },
  () => ({ kind: 'sprayer', id: `${props.surface}/${v7()}`, within: props.job }),
)
const { values: typed, faults, notice, busy } = form
const confirmed = computed({
  get: () => typed.protected === 'yes',
  set: (is: boolean) => (typed.protected = is ? 'yes' : ''),
})
const onRecord = computed(() => {
  const { sprayer } = props.rig
  if (!sprayer) return ''
  const said = { sprayer: sprayer.sprayer, by: sprayer.by, time: times.moment(sprayer.at) }
  return t(`rig.sprayer.${sprayer.sprayer ? 'onRecord' : 'onRecordInSequence'}`, said)
})
</script>

<template>
  <p v-if="onRecord" class="small on-record">{{ onRecord }}</p>
  <form
    v-else
    class="sprayer"
    novalidate
    @submit.prevent="form.submit(['sprayer', 'protected'], { rig: rig.rig ?? '' })"
  >
    <h2>{{ t('rig.sprayer.title') }}</h2>
    <p>{{ t('rig.sprayer.lead') }}</p>
    <div class="line">
      <FormField
        v-model="typed.sprayer"
        name="sprayer"
        :label="t('rig.sprayer.who')"
        :hint="t('rig.sprayer.example')"
        :fault="faults.sprayer"
        :disabled="!session.may('record')"
      />
      <ElCheckbox v-model="confirmed" name="protected" :disabled="!session.may('record')">{{
        t('rig.sprayer.confirm')
      }}</ElCheckbox>
      <ElButton type="primary" native-type="submit" :disabled="busy || !session.may('record')">{{
        t('rig.sprayer.save')
      }}</ElButton>
    </div>
    <p v-if="faults.protected || faults.rig || notice" class="fault" role="alert">
      {{ faults.protected ?? faults.rig ?? notice }}
    </p>
  </form>
</template>

<style scoped>
.sprayer {
  border-left: 5px solid var(--care);
  background: var(--sheet);
  padding: 10px 16px 12px;
  margin-bottom: 20px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
}
.on-record {
  margin-bottom: 14px;
}
</style>
