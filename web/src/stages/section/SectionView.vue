<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useFieldNames } from '@/shared/figures/fieldNames'
import { useProblems } from '@/shared/figures/problems'
import { saidOfFace } from '@/shared/keeping/records/surface'
import { useBoard, useChoices, useSurfaces } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import TypeIn from '@/shared/typing/TypeIn.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingsList from '@/shared/ui/FindingsList.vue'
import MeetingNote from '@/shared/ui/MeetingNote.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import BesidePanel from './BesidePanel.vue'
import InchTable from './InchTable.vue'
import MemberField from './MemberField.vue'
import ProfileTable from './ProfileTable.vue'
import SeasonSlider from './SeasonSlider.vue'
import SectionDrawing from './SectionDrawing.vue'
import SystemPicker from './SystemPicker.vue'
import YearPanel from './YearPanel.vue'
import { useLiftsText } from './liftsText'
import { useBeside } from './useBeside'
import { useSeason } from './useSeason'
import { useSectionDesk } from './useSectionDesk'

/** How thick, and in how many lifts: the live section of a surface. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const choices = useChoices()
// An edit holds on to the version it was made on, which comes with the list.
const surfaces = useSurfaces(() => props.job)
const board = useBoard(() => props.job)
const liftsText = useLiftsText()
const fieldName = useFieldNames()
const desk = useSectionDesk(
  () => props.job,
  () => props.surface,
)
const mayEdit = computed(() => session.may('edit'))
const row = computed(() => board.data.value?.rows.find((one) => one.id === props.surface))
const answer = desk.answer
const { season, air, drawn, hasMonths, offered } = useSeason(
  () => props.job,
  desk.question,
  desk.thicknessMm,
  answer,
  () => desk.section.data.value?.summer,
  () => props.surface,
)
const buffer = computed(() => desk.section.data.value?.buffer ?? null)
const { general } = useProblems()
const candidateText = useCandidateText()
const other = useBeside(
  () => props.job,
  () => props.surface,
  (candidate) => candidateText.layers(candidate.layers, candidate.boards),
  air,
)
const others = computed(() =>
  other.candidates.value.map((one) => ({
    id: one.id,
    text: `${candidateText.kind(one.kind)}: ${candidateText.layers(one.layers, one.boards)}`,
  })),
)
const floor = computed(() => desk.question.value?.heatFlow === 'down')
const chosen = computed(() => desk.section.data.value?.sheetId ?? null)
// Hand kits are held against the rig with the sets; here one is shown only where it is what the surface has.
const pickable = computed(() =>
  (choices.data.value?.sheets ?? []).filter(
    (sheet) => (sheet.grade !== 'kit' && !sheet.retired) || sheet.id === chosen.value,
  ),
)

// Printed by the core like every figure: while the hand moves it is the thickness of the newest answer.
const thicknessText = computed(() =>
  reader.print(answer.value?.figures.thickness?.figure ?? desk.section.data.value?.thickness),
)
const systemWords = computed(() =>
  writing.listed(
    (desk.question.value?.further ?? []).map((layer) =>
      layer.kind === 'foam'
        ? (choices.data.value?.sheets.find((s) => s.id === layer.id)?.name ?? layer.id)
        : t(`material.${layer.id}`),
    ),
  ),
)
const starts = computed(() => (reader.units === 'us' ? ['2 in', '3 in', '5 1/2 in'] : ['50 mm', '75 mm', '140 mm']))

onKeyStroke(['[', ']'], (event) => {
  if (event.target instanceof HTMLInputElement || !desk.question.value || !surfaces.data.value || !mayEdit.value) return
  event.preventDefault()
  desk.nudge(event.key === ']' ? 1 : -1, event.shiftKey ? 'large' : 'small')
})
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="section">
    <h1 class="visually-hidden">{{ writing.labelled(t('section.title'), row?.name ?? '') }}</h1>
    <ProblemNote v-if="desk.section.error.value" :problem="desk.section.error.value" @retry="desk.section.refetch()" />
    <ElSkeleton
      v-else-if="desk.section.isPending.value || !choices.data.value || !surfaces.data.value"
      :rows="7"
      animated
    />
    <template v-else>
      <div class="top">
        <SystemPicker :sheets="pickable" :chosen="chosen" :disabled="!mayEdit" @pick="desk.pick" />
        <div class="field thick">
          <label for="thickness">{{ t('section.thickness') }}</label>
          <TypeIn
            id="thickness"
            :model-value="desk.typed.value ?? (desk.question.value ? thicknessText : '')"
            kind="length"
            :disabled="!mayEdit || (!!desk.question.value && !desk.question.value.sheetId)"
            :aria-invalid="desk.fault.value !== ''"
            aria-describedby="thickness-fault"
            @update:model-value="desk.write"
            @change="desk.type"
            @keydown.esc="(desk.unwrite(), ($event.target as HTMLElement).blur())"
          />
        </div>
      </div>
      <p id="thickness-fault" class="fault" role="alert">{{ desk.fault.value }}</p>
      <MeetingNote
        v-if="desk.meeting.value"
        :label="fieldName(desk.meeting.value.field)"
        :meeting="desk.meeting.value"
        :say="saidOfFace"
        @decide="desk.decide(desk.meeting.value!.field, $event)"
      />
      <div v-if="!desk.question.value" class="start">
        <p>{{ t('section.start') }}</p>
        <p v-if="chosen && mayEdit">
          <ElButton v-for="one in starts" :key="one" @click="desk.type(one)">
            {{ t('section.startThickness', { thickness: one }) }}
          </ElButton>
        </p>
      </div>
      <template v-else>
        <p v-if="!answer" class="fault">
          {{
            t('section.unrated', {
              sheet: desk.sheet.value?.name ?? '',
              thickest: reader.print(desk.sheet.value?.thickest),
            })
          }}
        </p>
        <SectionDrawing
          v-if="desk.laid.value"
          :name="row?.name ?? ''"
          :question="desk.question.value"
          :laid="desk.laid.value"
          :answer="drawn"
          :thickness-mm="desk.thicknessMm.value"
          :thickness-text="thicknessText"
          :disabled="!mayEdit || !desk.question.value.sheetId"
          :beside="other.beside.value"
          @move="desk.move"
          @drop="desk.drop"
          @nudge="desk.nudge"
        />
        <SeasonSlider v-if="offered && answer" v-model="season" :months="hasMonths" />
        <BesidePanel
          v-if="answer"
          :wanted="other.wanted.value"
          :picked="other.pickedId.value"
          :options="others"
          :fault="other.fault.value || (other.problem.value ? general(other.problem.value) : '')"
          :own="answer"
          :beside="other.beside.value"
          @want="other.wanted.value = true"
          @pick="other.pickedId.value = $event"
        />
        <p v-if="desk.question.value.further?.length" class="small quiet">
          {{ t('section.system', { layers: systemWords }) }}
          <RouterLink class="act" :to="{ name: 'choose', params: { job, surface } }">{{
            t('stage.choose')
          }}</RouterLink>
        </p>
        <dl v-if="answer" class="figures">
          <div>
            <dd><FigureText :figure="answer.figures.foamR!.figure" :working="answer.figures.foamR!.working" /></dd>
            <dt>{{ t(desk.question.value.further?.length ? 'section.figures.fillR' : 'section.figures.foamR') }}</dt>
          </div>
          <div>
            <dd><FigureText :figure="answer.figures.wholeU!.figure" :working="answer.figures.wholeU!.working" /></dd>
            <dt>
              {{
                answer.figures.targetU
                  ? t('section.figures.wholeU', { target: reader.print(answer.figures.targetU.figure) })
                  : t('section.figures.wholeUNoTarget')
              }}
            </dt>
          </div>
          <div>
            <dd>
              <FigureText
                :figure="answer.figures.foamPermeance!.figure"
                :working="answer.figures.foamPermeance!.working"
              />
            </dd>
            <dt>
              {{
                t(reader.units === 'us' ? 'section.figures.permUs' : 'section.figures.perm', {
                  class: t(`section.class.${answer.foamClass}`),
                  sd: reader.print(answer.figures.foamSd!.figure),
                })
              }}
            </dt>
          </div>
          <div v-if="answer.lifts.length">
            <dd>
              <FigureText :figure="answer.figures.lifts!.figure" :working="answer.figures.lifts!.working" />
              <span class="unit">{{ t('section.figures.count', answer.liftsMm.length).replace(/^\d+/, '') }}</span>
            </dd>
            <dt>{{ liftsText(answer.lifts) }}</dt>
          </div>
          <div>
            <dd><FigureText :figure="answer.figures.heatCut!.figure" :working="answer.figures.heatCut!.working" /></dd>
            <dt>{{ t('section.figures.heatCut') }}</dt>
          </div>
        </dl>
        <p v-if="drawn?.nearestDew.crosses" class="small quiet note">
          {{ t('section.nearestDew', { place: t(`material.${drawn.nearestDew.key}`) }) }}
        </p>
        <p v-if="answer" class="small note quiet">
          <template v-if="answer.figures.framingDepth">{{
            t('section.framing', { depth: reader.print(answer.figures.framingDepth.figure) })
          }}</template>
          {{ t('section.weight', { weight: reader.print(answer.figures.weight!.figure) }) }}
          {{ t(floor ? 'section.floorSurface' : 'section.surface') }}
          <FigureText
            :figure="answer.figures.insideSurface!.figure"
            :working="answer.figures.insideSurface!.working"
          />.
          <template v-if="answer.figures.snowMeltFrom">
            {{ t('section.snow', { depth: reader.print(answer.figures.snowDepth!.figure) }) }}
            <FigureText :figure="answer.figures.snowMeltFrom.figure" :working="answer.figures.snowMeltFrom.working" />{{
              t('section.snowEnd')
            }}
          </template>
        </p>
        <p v-if="buffer" class="small note quiet">
          {{ t('section.bufferLead', { name: buffer.name }) }}
          <FigureText :figure="buffer.now.figure" :working="buffer.now.working" /> {{ t('section.bufferNow') }}
          <FigureText :figure="buffer.planned.figure" :working="buffer.planned.working" />
          {{ t('section.bufferPlanned') }}
        </p>
        <InchTable v-if="answer?.inches.length" :inches="answer.inches" />
        <MemberField
          v-if="answer?.figures.memberPsi || desk.question.value.kind === 'underSlab'"
          :job="job"
          :question="desk.question.value"
          :thickness-mm="desk.thicknessMm.value"
        />
        <YearPanel v-if="answer" :year="answer.year ?? null" />
        <ProfileTable v-if="answer" :points="drawn?.profile ?? []" />
      </template>
    </template>
    <template #side>
      <FindingsList
        v-if="answer"
        :findings="[...answer.findings, ...(answer.year?.findings ?? [])]"
        @thickness="desk.goTo"
      />
      <section class="safety small">
        <h2>{{ t('section.safetyTitle') }}</h2>
        <p>{{ t('section.safety') }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.top {
  display: flex;
  gap: 14px;
  align-items: end;
  justify-content: space-between;
}
.thick {
  width: 110px;
  flex: none;
}
.thick .el-input {
  font-weight: 700;
}
.fault:empty {
  display: none;
}
.start {
  padding: 30px 0;
  display: grid;
  gap: 14px;
}
.start .el-button {
  margin-right: 10px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  border-top: 2px solid var(--ink);
  margin: 14px 0 10px;
}
.figures div {
  display: flex;
  flex-direction: column;
  padding: 8px 10px;
  border-left: 1px solid var(--line);
}
.figures div:first-child {
  border-left: 0;
  padding-left: 0;
}
dd {
  margin: 0;
  font: 650 1.22rem / 1.35 var(--head);
  white-space: nowrap;
}
.figures div:nth-child(2) dd,
.figures div:nth-child(3) dd {
  white-space: normal;
}
.unit {
  font-size: 1rem;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.note {
  border-left: 4px solid var(--line);
  padding-left: 10px;
  margin: 10px 0;
}
.safety {
  margin-top: 20px;
  color: var(--ink-2);
}
.safety h2 {
  font-size: 1rem;
  color: var(--ink);
  margin-bottom: 4px;
}
@media (max-width: 760px) {
  .figures {
    grid-template-columns: 1fr 1fr;
  }
  .top {
    flex-direction: column;
    align-items: stretch;
  }
}
</style>
