<script setup lang="ts">
import { useSession } from '@/shared/state/session'
import { useWriting } from '@/i18n/writing'
import { computed, ref, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import SectionSketch from '@/shared/drawing/SectionSketch.vue'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import CandidateWhy from './CandidateWhy.vue'
import { notFirst } from './notFirst'
import ScoreBar from './ScoreBar.vue'
import { useCandidateText } from '@/shared/figures/candidateText'
import type { Candidate } from './useChooseDesk'

/** One system on the surface: drawn, with its figures, its score, and why. */
const props = defineProps<{
  candidate: Candidate
  /** The first of those allowed; none beside a system that is excluded. */
  first?: Candidate
  advised: boolean
  chosen: boolean
  compared: boolean
  followed: boolean
  mayEdit: boolean
  mayOverride: boolean
  hasTarget: boolean
}>()
const emit = defineEmits<{ pick: [reason: string]; compare: [] }>()
const { t } = useI18n()
const { labelled, listed } = useWriting()
const reader = useReader()
const session = useSession()
const words = useCandidateText()
const text = useFindingText()
const open = ref(false)
const id = useId()

const name = computed(() => words.kind(props.candidate.kind))
const marks = computed(() =>
  [
    props.candidate.failsCondensation && t('choose.failsDamp'),
    !props.candidate.meetsTarget && t('choose.fallsShort'),
    props.followed && !props.candidate.inPractice && t('choose.ofSchool'),
  ].filter(Boolean),
)
const behind = computed(() => {
  if (!props.first || props.first.id === props.candidate.id) return ''
  const why = notFirst(props.candidate, props.first)
  const parts = listed(
    why.worseIn.map((part) => t(`choose.part.${part}`)),
    'and',
  )
  return listed(
    [
      why.failsCondensation && t('choose.failsDamp'),
      why.fallsShort && t('choose.fallsShort'),
      why.furtherShort && t('choose.furtherShort'),
      parts && t('choose.worseIn', { parts }),
    ].filter((one): one is string => !!one),
  )
})
// What a plan does to the building's own damp stands on the card, not behind a click.
const damper = computed(() =>
  props.candidate.findings.filter((finding) => finding.verdict === 'care' && finding.isToldAtOnce),
)
const holds = computed(() => props.candidate.findings.filter((finding) => finding.verdict === 'hold'))
</script>

<template>
  <article class="lane" :class="{ advised, chosen, out: candidate.excluded }" :aria-labelledby="`${id}-name`">
    <SectionSketch :layers="candidate.sketch" :width="118" :height="58" />
    <div class="what">
      <h3 :id="`${id}-name`">
        {{ name }}
        <small v-if="advised" class="tag">{{ t('choose.advice') }}</small>
        <small v-if="chosen" class="tag solid">{{ t('choose.chosen') }}</small>
      </h3>
      <p class="small">{{ words.layers(candidate.layers, candidate.boards) }}</p>
      <p v-if="marks.length" class="small marks"><VerdictMark verdict="care" :size="13" /> {{ marks.join(' · ') }}</p>
      <p v-for="one in damper" :key="one.rule" class="small marks">
        <VerdictMark verdict="care" :size="13" /> {{ text.title(one) }}
      </p>
      <p v-for="hold in holds" :key="hold.rule" class="small marks hold">
        <VerdictMark verdict="hold" :size="13" />
        {{ hold.isNumbered ? labelled(hold.rule, text.title(hold)) : text.title(hold) }}
      </p>
    </div>
    <dl class="figures">
      <div>
        <dt>
          {{
            hasTarget
              ? candidate.meetsTarget
                ? t('choose.meets')
                : candidate.shortfall
                  ? t('choose.short', { by: reader.print(candidate.shortfall) })
                  : t('choose.fallsShort')
              : 'U'
          }}
        </dt>
        <dd><FigureText :figure="candidate.u.figure" :working="candidate.u.working" /></dd>
      </div>
      <div>
        <template v-if="candidate.dampest">
          <dt>{{ t('choose.dampest', { place: text.place(candidate.dampest.place) }) }}</dt>
          <dd>
            <FigureText :figure="candidate.dampest.humidity.figure" :working="candidate.dampest.humidity.working" />
            <small v-if="candidate.dampest.place === candidate.dampest.untold" class="quiet">{{
              ` ${t('choose.notTold')}`
            }}</small>
          </dd>
        </template>
        <template v-else>
          <dt>{{ t('choose.humidity') }}</dt>
          <dd>{{ t('choose.unknown') }}</dd>
        </template>
      </div>
      <div v-if="session.may('price')">
        <dt>{{ t('choose.cost') }}</dt>
        <dd v-if="candidate.cost"><FigureText :figure="candidate.cost.figure" :working="candidate.cost.working" /></dd>
        <dd v-else class="small">{{ t('choose.noPrice') }}</dd>
      </div>
      <div>
        <dt>{{ t('choose.hours') }}</dt>
        <dd>{{ reader.print(candidate.hours) }}</dd>
      </div>
    </dl>
    <div class="score">
      <template v-if="candidate.scores.length">
        <p>
          <FigureText :figure="candidate.total.figure" :working="candidate.total.working" />
          <small class="quiet">&nbsp;{{ t('choose.score') }}</small>
        </p>
        <ScoreBar :scores="candidate.scores" />
        <small v-if="behind" class="quiet">{{ t('choose.notFirst', { why: behind }) }}</small>
      </template>
    </div>
    <div class="acts no-print">
      <ElButton v-if="mayEdit && !candidate.excluded && !chosen" @click="emit('pick', '')">
        {{ t('choose.choose') }}
      </ElButton>
      <ElButton link type="primary" :aria-expanded="open" :aria-controls="`${id}-why`" @click="open = !open">
        {{ open ? t('choose.close') : t('choose.open') }}
      </ElButton>
      <ElButton link type="primary" :aria-pressed="compared" @click="emit('compare')">
        {{ compared ? t('choose.comparing') : t('choose.compare') }}
      </ElButton>
    </div>
    <CandidateWhy
      v-if="open"
      :id="`${id}-why`"
      :candidate="candidate"
      :may-override="mayOverride"
      @pick="emit('pick', $event)"
    />
  </article>
</template>

<style scoped>
.lane {
  display: grid;
  grid-template-columns: 118px minmax(150px, 1.3fr) minmax(240px, 1.5fr);
  gap: 4px 16px;
  padding: 12px 0;
  border-bottom: 1px solid var(--line);
  align-items: start;
}
.lane > :deep(svg) {
  max-width: 100%;
  height: auto;
}
.advised {
  box-shadow: inset 5px 0 var(--copper);
  padding-left: 14px;
}
.out {
  color: var(--ink-2);
}
h3 {
  font: 650 1.06rem / 1.3 var(--head);
}
.tag {
  font: 600 var(--text-s) var(--body);
  color: var(--copper);
  margin-left: 6px;
}
.solid {
  background: var(--ink);
  color: var(--paper);
  padding: 1px 7px;
  border-radius: 9px;
}
.marks {
  display: flex;
  align-items: center;
  gap: 6px;
  color: var(--care);
}
.marks.hold {
  color: var(--hold);
}
.figures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 16px;
  margin: 0;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 650;
  white-space: nowrap;
}
.score {
  grid-column: 1 / 3;
}
.score p {
  font: 650 1.06rem / 1.4 var(--head);
}
.acts {
  grid-column: 3;
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: flex-end;
}
@media (max-width: 620px) {
  .lane {
    grid-template-columns: 84px 1fr;
  }
  .figures,
  .score,
  .acts {
    grid-column: 1 / -1;
  }
}
</style>
