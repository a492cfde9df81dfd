<script setup lang="ts">
import FoldBox from '@/shared/ui/FoldBox.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { uploadOnce } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useFanTests, useSurveyEdits, useThermal } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import TakenOff from '@/shared/ui/TakenOff.vue'
import { useTypedForm } from '@/shared/state/typedForm'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { kindOf } from '@/shared/typing/fieldKeys'
import SurveyFrame from '../SurveyFrame.vue'
import FanTestCard from './FanTestCard.vue'
import FileButton from '@/shared/ui/FileButton.vue'
import ThermalCard from './ThermalCard.vue'
import FormField from '@/shared/ui/FormField.vue'

/** How tight and how even the building is before the work: the fan test and the thermal picture. */
const props = defineProps<{ job: string }>()
const MOST_MEGABYTES = 20
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const fan = useFanTests(() => props.job)
const thermal = useThermal(() => props.job)
const edits = useSurveyEdits(() => props.job)
const { general } = useProblems()

const locked = computed(() => !session.may('edit'))
const fahrenheit = ref(reader.units === 'us')
const fault = ref('')
const fields = ['volume', 'indoor', 'outdoor', 'zeroBefore', 'zeroAfter'] as const
const path = () => ({ params: { path: { id: props.job } } })
const typed = useTypedForm(
  () => `fanForm.${props.job}`,
  {},
  (all) => edits.made('fan', all, (body) => ask(api.POST('/api/jobs/{id}/fan-tests', { ...path(), body }))),
  () => props.job,
)
const offTest = useTakeOff((id) =>
  edits.did('fan', ask(api.DELETE('/api/fan-tests/{id}', { params: { path: { id } } }))),
)
const offPicture = useTakeOff((id) =>
  edits.did('thermal', ask(api.DELETE('/api/thermal/{id}', { params: { path: { id } } }))),
)
const add = () => typed.submit()

async function addPicture([file]: File[]) {
  if (!file) return
  try {
    const query = new URLSearchParams({ name: file.name.replace(/\.\w+$/, ''), fahrenheit: String(fahrenheit.value) })
    await edits.did(
      'thermal',
      uploadOnce<Schemas['ThermalAnswer'][]>(`/api/jobs/${props.job}/thermal?${query}`, file, MOST_MEGABYTES),
    )
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}
</script>

<template>
  <SurveyFrame :job="job" wide>
    <h1 class="visually-hidden">{{ t('survey.page.baseline') }}</h1>
    <section>
      <h2>{{ t('survey.fan.title') }}</h2>
      <p class="quiet small">{{ t('survey.fan.lead') }}</p>
      <ProblemNote v-if="fan.error.value" :problem="fan.error.value" @retry="fan.refetch()" />
      <ElSkeleton v-else-if="!fan.data.value" :rows="5" animated />
      <template v-else>
        <p v-if="fan.data.value.reduction" class="cut">
          {{ t('survey.fan.cut', { share: reader.print(fan.data.value.reduction.value) })
          }}<template v-if="fan.data.value.reduction.low">
            ({{ reader.print(fan.data.value.reduction.low) }} …
            {{ reader.print(fan.data.value.reduction.high) }})</template
          >
        </p>
        <FanTestCard
          v-for="test in fan.data.value.tests.filter((one) => !offTest.gone(one.id))"
          :key="test.id"
          :job="job"
          :test="test"
          :locked="locked"
          @off="offTest.takeOff(test.id, t('survey.fan.title'))"
        />
        <TakenOff :off="offTest" />
        <p v-if="fan.data.value.tests.length === 0" class="quiet">{{ t('survey.fan.none') }}</p>
        <FoldBox v-if="!locked" class="no-print" :title="t('survey.fan.new')">
          <form novalidate @submit.prevent="add">
            <div class="points">
              <FormField
                v-model="typed.values.points"
                name="points"
                :lines="7"
                :label="t('survey.fan.points')"
                :hint="t(reader.units === 'us' ? 'survey.fan.pointsHint' : 'survey.fan.pointsHintMetric')"
                :fault="typed.faults.value.points"
              />
            </div>
            <FormField
              v-for="field in fields"
              :key="field"
              v-model="typed.values[field]"
              :name="field"
              :label="t(`survey.fan.field.${field}`)"
              :kind="kindOf(field)"
              :fault="typed.faults.value[field]"
            />
            <p class="small quiet">{{ t('survey.fan.zeroSign') }}</p>
            <FormField
              v-model="typed.values.words"
              name="words"
              :label="t('survey.fan.field.words')"
              :fault="typed.faults.value.words"
            />
            <ElButton type="primary" native-type="submit">{{ t('survey.fan.add') }}</ElButton>
            <p class="fault" role="alert">{{ typed.notice.value }}</p>
          </form>
        </FoldBox>
      </template>
    </section>
    <section>
      <h2>{{ t('survey.thermal.title') }}</h2>
      <p class="quiet small">{{ t('survey.thermal.lead') }}</p>
      <div class="pictures">
        <ThermalCard
          v-for="picture in thermal.data.value?.filter((one) => !offPicture.gone(one.id))"
          :key="picture.id"
          :job="job"
          :picture="picture"
          :locked="locked"
          @off="offPicture.takeOff(picture.id, picture.name)"
        />
      </div>
      <TakenOff :off="offPicture" />
      <p v-if="thermal.data.value?.length === 0" class="quiet">{{ t('survey.thermal.none') }}</p>
      <div v-if="!locked" class="send no-print">
        <FileButton accept=".csv,.txt,text/csv" @files="addPicture">{{ t('survey.thermal.add') }}</FileButton>
        <ElCheckbox v-model="fahrenheit">{{ t('survey.thermal.fahrenheit') }}</ElCheckbox>
      </div>
      <p class="fault" role="alert">{{ fault }}</p>
    </section>
  </SurveyFrame>
</template>

<style scoped>
section + section {
  margin-top: 34px;
}
.cut {
  font: 650 1.15rem var(--head);
  margin: 10px 0;
}
form {
  display: grid;
  grid-template-columns: 240px repeat(2, 170px);
  gap: 12px 18px;
  align-items: start;
}
.points {
  grid-row: span 3;
}
.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(440px, 1fr));
  gap: 24px;
  margin: 12px 0;
}
.send {
  display: flex;
  gap: 18px;
  align-items: center;
}
@media (max-width: 700px) {
  form,
  .pictures {
    grid-template-columns: 1fr;
  }
}
</style>
