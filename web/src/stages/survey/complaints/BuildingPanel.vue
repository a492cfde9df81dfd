<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useBuilding, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import TakenOff from '@/shared/ui/TakenOff.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import PickField from '@/shared/ui/PickField.vue'
import BufferCard from './BufferCard.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Spaces beside the rooms that float between warm and cold, and the pressure of warm air over the height. */
const props = defineProps<{ job: string; locked: boolean }>()
const { t } = useI18n()
const reader = useReader()
const building = useBuilding(() => props.job)
const edits = useSurveyEdits(() => props.job)
const { byField } = useProblems()
const name = ref('')
const kind = ref('attic')
const kinds = computed(() => ['attic', 'crawl', 'basement'].map((value) => ({ value, text: t(`buffer.${value}`) })))
const fault = ref('')

const off = useTakeOff((id) =>
  edits.did('building', ask(api.DELETE('/api/buffers/{id}', { params: { path: { id } } }))),
)

async function add() {
  try {
    await edits.made('building', { name: name.value, kind: kind.value }, (body) =>
      ask(api.POST('/api/jobs/{id}/buffers', { params: { path: { id: props.job } }, body })),
    )
    name.value = ''
    fault.value = ''
  } catch (cause) {
    fault.value = Object.values(byField(cause))[0] ?? ''
  }
}
</script>

<template>
  <section v-if="building.data.value">
    <h2>{{ t('survey.building.stack') }}</h2>
    <p v-if="!building.data.value.winterStack" class="quiet">{{ t('survey.building.noHeight') }}</p>
    <p v-for="season in ['winterStack', 'summerStack'] as const" v-else :key="season">
      <i18n-t v-if="building.data.value[season]" :keypath="`survey.building.${season}`" scope="global">
        <template #top>
          <FigureText
            :figure="building.data.value[season]!.atTop.figure"
            :working="building.data.value[season]!.atTop.working"
          />
        </template>
        <template #foot>{{ reader.print(building.data.value[season]!.atFoot) }}</template>
        <template #neutral>{{ reader.print(building.data.value[season]!.neutralPlane) }}</template>
      </i18n-t>
    </p>
    <h2>{{ t('survey.building.buffers') }}</h2>
    <p class="quiet small">{{ t('survey.building.buffersLead') }}</p>
    <BufferCard
      v-for="space in building.data.value.buffers.filter((one) => !off.gone(one.id))"
      :key="space.id"
      :job="job"
      :space="space"
      :locked="locked"
      @off="off.takeOff(space.id, space.name)"
    />
    <TakenOff :off="off" />
    <form v-if="!locked" novalidate @submit.prevent="add">
      <FormField v-model="name" :label="t('survey.building.name')" maxlength="120" :aria-invalid="!!fault" />
      <PickField v-model="kind" :label="t('survey.building.kind')" :options="kinds" />
      <ElButton native-type="submit" :disabled="!name.trim()">{{ t('survey.building.add') }}</ElButton>
      <em class="fault">{{ fault }}</em>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin-top: 12px;
}
.field {
  width: 200px;
}
</style>
