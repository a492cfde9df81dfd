<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useSurfaces } from '@/shared/state/job'
import { useSession } from '@/shared/state/session'
import { useJoints, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import TakenOff from '@/shared/ui/TakenOff.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import SurveyFrame from '../SurveyFrame.vue'
import JointCard from './JointCard.vue'
import JointDrawing from './JointDrawing.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Where two surfaces or layers meet: which control layers carry on, with what, by whom, ready and seen. */
const props = defineProps<{ job: string }>()
type Suggested = Schemas['SuggestedJointAnswer']
const { t } = useI18n()
const session = useSession()
const joints = useJoints(() => props.job)
const surfaces = useSurfaces(() => props.job)
const edits = useSurveyEdits(() => props.job)
const { general } = useProblems()

const locked = computed(() => !session.may('edit'))
const fault = ref('')
const FEW = 12
const all = ref(false)
const everySuggested = computed(() => joints.data.value?.suggested ?? [])
const others = computed(() => everySuggested.value.filter((one) => !one.sameName).length)
const showsAll = computed(
  () => all.value || everySuggested.value.length <= FEW || others.value === everySuggested.value.length,
)
const suggested = computed(() => everySuggested.value.filter((one) => showsAll.value || one.sameName))
const open = computed(() => standing.value.filter((one) => one.finding.verdict !== 'clear').length)

const off = useTakeOff((id) => edits.did('joints', ask(api.DELETE('/api/joints/{id}', { params: { path: { id } } }))))
const standing = computed(() => joints.data.value?.joints.filter((one) => !off.gone(one.id)) ?? [])

const kinds: Schemas['JointKind'][] = [
  'outsideToInside',
  'wallToGroundSheet',
  'plateToSlab',
  'membraneToBlocking',
  'deckToGable',
  'stopAtSoffit',
  'deckToWall',
  'bandToWall',
  'floorToWall',
  'doorToWall',
]
const offered = computed(() => kinds.map((value) => ({ value, text: t(`joint.${value}`) })))
const own = ref({ kind: 'deckToWall', first: '', second: '', beyond: '' })
const named = computed(() => (surfaces.data.value ?? []).map((one) => ({ value: one.id, text: one.name })))
const seconds = computed(() => [
  { value: '', text: t('survey.joints.otherLayer') },
  ...named.value.map((one) => ({ ...one, disabled: one.value === own.value.first })),
])

async function add(fields: Record<string, string>) {
  try {
    await edits.made('joints', fields, (body) =>
      ask(api.POST('/api/jobs/{id}/joints', { params: { path: { id: props.job } }, body })),
    )
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}

const ends = (one: Suggested) => ({ kind: one.kind, first: one.firstId, second: one.secondId ?? '' })
const take = (one: Suggested) =>
  add({ ...ends(one), beyond: one.secondId ? '' : t(`survey.joints.beyond.${one.kind}`) })
const dismiss = (one: Suggested) => add({ ...ends(one), doNotMeet: 'yes' })

async function addOwn() {
  await add({ ...own.value })
  if (!fault.value) own.value = { ...own.value, second: '', beyond: '' }
}
</script>

<template>
  <SurveyFrame :job="job" wide>
    <h1 class="visually-hidden">{{ t('survey.page.joints') }}</h1>
    <p class="quiet lead">{{ t('survey.joints.lead') }}</p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <ProblemNote v-if="joints.error.value" :problem="joints.error.value" @retry="joints.refetch()" />
    <ElSkeleton v-else-if="!joints.data.value" :rows="6" animated />
    <template v-else>
      <h2>{{ t('survey.joints.count', { count: standing.length, open }, standing.length) }}</h2>
      <p v-if="standing.length === 0" class="quiet empty">{{ t('survey.joints.none') }}</p>
      <div class="cards">
        <JointCard
          v-for="joint in standing"
          :key="joint.id"
          :job="job"
          :joint="joint"
          :locked="locked"
          @off="off.takeOff(joint.id, t(`joint.${joint.kind}`))"
        />
      </div>
      <TakenOff :off="off" />
      <section v-if="joints.data.value.suggested.length">
        <h2>{{ t('survey.joints.suggested') }}</h2>
        <p class="quiet small">{{ t('survey.joints.suggestedLead') }}</p>
        <ul class="suggested">
          <li v-for="one in suggested" :key="one.kind + one.firstId + one.secondId">
            <JointDrawing :kind="one.kind" :width="52" />
            <span>
              <b>{{ t(`joint.${one.kind}`) }}</b>
              {{ one.first }} · {{ one.second || t(`survey.joints.beyond.${one.kind}`) }}
            </span>
            <span v-if="!locked" class="acts">
              <ElButton @click="take(one)">{{ t('survey.joints.take') }}</ElButton>
              <ElButton link type="primary" @click="dismiss(one)">{{ t('survey.joints.dismiss') }}</ElButton>
            </span>
          </li>
        </ul>
        <ElButton v-if="others && !showsAll" link type="primary" @click="all = true">
          {{ t('survey.joints.showAll', { count: others }) }}
        </ElButton>
      </section>
      <form v-if="!locked && surfaces.data.value?.length" class="own" novalidate @submit.prevent="addOwn">
        <h2>{{ t('survey.joints.own') }}</h2>
        <PickField v-model="own.kind" :label="t('survey.joints.kind')" :options="offered" />
        <PickField v-model="own.first" :label="t('survey.joints.first')" :options="named" />
        <PickField v-model="own.second" :label="t('survey.joints.second')" :options="seconds" />
        <FormField v-if="!own.second" v-model="own.beyond" :label="t('survey.joints.beyondName')" maxlength="120" />
        <ElButton native-type="submit" :disabled="!own.first">{{ t('survey.joints.addOwn') }}</ElButton>
      </form>
    </template>
  </SurveyFrame>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 14px;
}
h2 {
  margin-bottom: 8px;
}
section,
.own {
  margin-top: 30px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(440px, 1fr));
  gap: 18px;
}
.suggested {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}
.suggested li {
  display: grid;
  grid-template-columns: 56px 1fr auto;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 6px 0;
}
.suggested b {
  display: block;
}
.acts {
  display: flex;
  gap: 14px;
}
.own {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.own h2 {
  width: 100%;
}
.own .field {
  width: 220px;
}
@media (max-width: 560px) {
  .cards {
    grid-template-columns: 1fr;
  }
  .suggested li {
    grid-template-columns: 56px 1fr;
  }
  .acts {
    grid-column: 2;
  }
}
</style>
