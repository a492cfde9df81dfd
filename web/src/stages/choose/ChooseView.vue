<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useFieldNames } from '@/shared/figures/fieldNames'
import { useFindingText } from '@/shared/figures/findings'
import { choiceIn } from '@/shared/keeping/records/surface'
import { useBoard } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import MeetingNote from '@/shared/ui/MeetingNote.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import CandidateLane from './CandidateLane.vue'
import ChoiceSide from './ChoiceSide.vue'
import CompareSheet from './CompareSheet.vue'
import FlipStrip from './FlipStrip.vue'
import PlanDrift from './PlanDrift.vue'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useChooseDesk, type Candidate } from './useChooseDesk'

/** Open or closed cell, or both, or neither: the systems of a surface side by side, with reasons and what would turn the choice. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const text = useFindingText()
const words = useCandidateText()
const fieldName = useFieldNames()
const board = useBoard(() => props.job)
const desk = useChooseDesk(
  () => props.job,
  () => props.surface,
)
const { choice, answer } = desk
const mayEdit = computed(() => session.may('edit'))
const mayOverride = computed(() => session.may('override'))
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))

const standing = computed(() => answer.value?.candidates.filter((one) => !one.excluded) ?? [])
const excluded = computed(() => answer.value?.candidates.filter((one) => one.excluded) ?? [])
const byId = (id: string | null | undefined) => answer.value?.candidates.find((one) => one.id === id) ?? null
const advised = computed(() => byId(answer.value?.advisedId))
const other = computed(() => byId(answer.value?.otherSchoolId))
const chosen = computed(() => byId(choice.data.value?.chosenId))
function sayMeeting(text: string) {
  const system = text.includes('\n') && byId(choiceIn(text)[0])
  return system ? words.kind(system.kind) : text.trim()
}
const hasTarget = computed(() => !!answer.value?.target || (answer.value?.labels.length ?? 0) > 0)
const holds = computed(() => answer.value?.ofSurface.filter((f) => f.verdict === 'hold') ?? [])
const followed = computed(() => !!answer.value && answer.value.followed !== 'either')

// Two at most are compared; a third takes the place of the one picked first.
const compared = ref<string[]>([])
watch(
  () => props.surface,
  () => (compared.value = []),
)
function compare(candidate: Candidate) {
  compared.value = compared.value.includes(candidate.id)
    ? compared.value.filter((one) => one !== candidate.id)
    : [...compared.value, candidate.id].slice(-2)
}
const pair = computed(() => compared.value.map(byId).filter((one): one is Candidate => one !== null))

// Said once for all that read so: the places about which monthly means cannot tell.
const untold = computed(() => {
  const places = standing.value.map((one) => one.dampest?.untold).filter((one): one is string => !!one)
  return writing.listed([...new Set(places)].map((one) => text.place(one)))
})

const scoreParts = computed(() =>
  writing.listed((advised.value ?? standing.value[0])?.scores.map((one) => t(`choose.part.${one.part}`)) ?? []),
)
const riskOf = (candidate: Candidate) => {
  const worst = [...candidate.findings, ...candidate.opinions].find((f) => f.verdict !== 'clear')
  return worst ? text.title(worst) : t('choose.noRules')
}
const costOf = (candidate: Candidate) => (candidate.cost ? reader.print(candidate.cost.figure) : t('choose.noPrice'))
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="choose">
    <div class="head no-print">
      <h1>{{ row?.name }}</h1>
      <RouterLink class="act" :to="{ name: 'choices', params: { job } }">{{ t('choose.all') }}</RouterLink>
    </div>
    <ProblemNote v-if="choice.error.value" :problem="choice.error.value" @retry="choice.refetch()" />
    <div v-else-if="!choice.data.value || !answer" role="status">
      <p>{{ t('choose.loading') }}</p>
      <ElSkeleton :rows="7" animated />
    </div>
    <template v-else>
      <p class="fault" role="alert">{{ desk.fault.value }}</p>
      <MeetingNote
        v-for="one in desk.meetings.value"
        :key="one.field"
        :label="fieldName(one.field)"
        :meeting="one"
        :say="sayMeeting"
        @decide="one.of.decide(one.field, $event)"
      />
      <section v-if="holds.length" class="held no-print">
        <VerdictMark verdict="hold" :size="20" />
        <p>
          <b>{{ t('choose.heldBefore') }}</b>
          <span v-for="one in holds" :key="one.rule + one.case">{{ ` ${text.told(one)}` }}</span>
        </p>
      </section>
      <section v-if="answer.advice === 'drynessUnknown'" class="held unknown no-print">
        <VerdictMark verdict="care" :size="20" />
        <p>
          <b>{{ t('choose.unknownTitle') }}</b> {{ t('choose.noYear') }}
          <RouterLink v-if="mayEdit" class="act" :to="{ name: 'board', params: { job }, query: { change: 'place' } }">{{
            t('choose.namePlace')
          }}</RouterLink>
        </p>
      </section>
      <section class="lead no-print" aria-live="polite">
        <template v-if="advised">
          <p class="big">
            <i18n-t keypath="writing.labelled" scope="global">
              <template #label
                ><b>{{ t(`choose.head.${answer.advice}`) }}</b></template
              >
              <template #value>{{
                writing.listed([words.kind(advised.kind), words.layers(advised.layers, advised.boards)])
              }}</template>
            </i18n-t>
          </p>
          <div v-if="answer.advice === 'allFail'">
            <p>{{ t('choose.allFail') }} {{ t(answer.measures.length ? 'choose.wouldDry' : 'choose.nothingDries') }}</p>
            <ul v-if="answer.measures.length" class="measures">
              <li v-for="one in answer.measures" :key="one.change">
                {{ t(`choose.measure.${one.change}`, { to: reader.print(one.to), system: words.kind(one.system) }) }}
              </li>
            </ul>
          </div>
          <p class="small quiet">
            {{ t('choose.advisedWhy', { standing: standing.length, excluded: excluded.length }) }}
            {{ answer.target ? t('choose.target', { target: reader.print(answer.target) }) : t('choose.noTarget') }}
          </p>
        </template>
        <p v-else class="big">{{ t('choose.none') }}</p>
        <p v-if="followed && other" class="other">
          {{
            t(session.may('price') ? 'choose.otherSchool' : 'choose.otherSchoolPlain', {
              name: words.kind(other.kind),
              cost: costOf(other),
              score: reader.print(other.total.figure),
              risk: riskOf(other),
            })
          }}
        </p>
        <PlanDrift
          v-if="chosen"
          :planned="choice.data.value.planned"
          :chosen="chosen"
          :may-adopt="mayEdit && !chosen.excluded"
          @adopt="desk.pick(chosen)"
        />
        <p v-if="choice.data.value.chosenKind" class="chosen">
          {{
            choice.data.value.chosenBy
              ? t('choose.chosenBy', {
                  system: words.kind(choice.data.value.chosenKind),
                  who: choice.data.value.chosenBy,
                })
              : t('choose.chosenIs', { system: words.kind(choice.data.value.chosenKind) })
          }}
          <template v-if="choice.data.value.reason">{{
            t('choose.overriddenBy', {
              rules: writing.listed(choice.data.value.overrides),
              reason: choice.data.value.reason,
            })
          }}</template>
          <ElButton v-if="choice.data.value.canTakeBack && mayEdit" link type="primary" @click="desk.takeBack()">
            {{ t('choose.back') }}
          </ElButton>
        </p>
      </section>
      <CompareSheet
        v-if="compared.length"
        :pair="pair"
        :name="row?.name ?? ''"
        :job="job"
        :job-name="board.data.value?.job.name ?? ''"
        :surface="surface"
        @close="compared = []"
      />
      <section class="lanes no-print" :aria-busy="desk.busy.value">
        <h2 class="visually-hidden">{{ t('choose.candidates') }}</h2>
        <p v-if="untold" class="small">{{ t('choose.untold', { place: untold }) }}</p>
        <p v-if="scoreParts" class="small quiet">{{ t('choose.legend', { parts: scoreParts }) }}</p>
        <CandidateLane
          v-for="one in standing"
          :key="one.id"
          :candidate="one"
          :first="standing[0]"
          :advised="one.id === answer.advisedId && answer.advice === 'advised'"
          :chosen="one.id === choice.data.value.chosenId"
          :compared="compared.includes(one.id)"
          :followed="followed"
          :may-edit="mayEdit"
          :may-override="mayOverride"
          :has-target="hasTarget"
          @pick="desk.pick(one, $event)"
          @compare="compare(one)"
        />
      </section>
      <section class="no-print">
        <h2>{{ t('choose.flips') }}</h2>
        <p v-if="answer.flips.length === 0" class="quiet">{{ t('choose.flipsNone') }}</p>
        <ul class="flips">
          <FlipStrip
            v-for="flip in answer.flips"
            :key="flip.input + flip.above"
            :flip="flip"
            :advised="advised ? words.kind(advised.kind) : ''"
          />
        </ul>
      </section>
      <p v-for="one in answer.alike" :key="one.system" class="small no-print">
        {{
          t('choose.alike', {
            system: words.kind(one.system),
            input: t(`choose.input.${one.input}`),
            at: reader.print(one.at),
          })
        }}
      </p>
      <section v-if="excluded.length" class="no-print">
        <h2>{{ t('choose.excluded') }}</h2>
        <p class="small quiet">{{ t('choose.excludedLead') }}</p>
        <CandidateLane
          v-for="one in excluded"
          :key="one.id"
          :candidate="one"
          :advised="false"
          :chosen="one.id === choice.data.value.chosenId"
          :compared="compared.includes(one.id)"
          :followed="followed"
          :may-edit="mayEdit"
          :may-override="mayOverride"
          :has-target="hasTarget"
          @pick="desk.pick(one, $event)"
          @compare="compare(one)"
        />
      </section>
    </template>
    <template #side>
      <div v-if="choice.data.value" class="no-print">
        <ChoiceSide
          :choice="choice.data.value"
          :disabled="!mayEdit"
          :asked="desk.asked"
          :typed="desk.typed"
          :bears="row?.kind === 'underSlab'"
          @fact="desk.sayFact"
          @job="desk.sayOfJob"
        />
      </div>
      <section class="small safety no-print">
        <h2>{{ t('section.safetyTitle') }}</h2>
        <p>{{ t('section.safety') }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h1 {
  font-size: 1.25rem;
}
.fault:empty {
  display: none;
}
.held {
  display: flex;
  gap: 10px;
  border: 2px solid var(--hold);
  border-radius: 8px;
  padding: 8px 12px;
  margin: 8px 0;
}
.unknown {
  border-color: var(--care);
}
.measures {
  margin: 2px 0 6px;
  padding-left: 1.2em;
}
.big {
  font: 400 1.1rem / 1.4 var(--body);
}
.lead {
  padding-bottom: 8px;
  border-bottom: 2px solid var(--ink);
}
.other,
.chosen {
  margin-top: 4px;
}
.lanes {
  margin-bottom: 18px;
}
.lanes[aria-busy='true'] {
  opacity: 0.7;
}
.flips {
  list-style: none;
  margin: 4px 0 18px;
  padding: 0;
  columns: 2;
  column-gap: 26px;
}
.safety {
  color: var(--ink-2);
}
.safety h2 {
  font-size: 1rem;
  color: var(--ink);
}
@media (max-width: 760px) {
  .flips {
    columns: 1;
  }
}
</style>
