<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import SectionSketch from '@/shared/drawing/SectionSketch.vue'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import { useWorkings } from '@/shared/state/workings'
import FigureText from '@/shared/ui/FigureText.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import ScoreBar from './ScoreBar.vue'
import { useCandidateText } from '@/shared/figures/candidateText'
import type { Candidate } from './useChooseDesk'

/** One system on the surface: drawn, with its figures, its score, and why. */
const props = defineProps<{
  candidate: Candidate
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
const reader = useReader()
const words = useCandidateText()
const text = useFindingText()
const workings = useWorkings()
const open = ref(false)
const overriding = ref(false)
const reason = ref('')
const id = useId()

const name = computed(() => words.kind(props.candidate.kind))
const marks = computed(() =>
  [
    props.candidate.failsCondensation && t('choose.failsDamp'),
    !props.candidate.meetsTarget && t('choose.fallsShort'),
    props.followed && !props.candidate.inPractice && t('choose.ofSchool'),
  ].filter(Boolean),
)
const holds = computed(() => props.candidate.findings.filter((finding) => finding.verdict === 'hold'))
// A sheet's limit and the depth are nobody's to override.
const mayYield = computed(() => holds.value.every((f) => f.basis !== 'productSheet' && f.rule !== 'E9'))
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
      <p v-for="hold in holds" :key="hold.rule" class="small marks hold">
        <VerdictMark verdict="hold" :size="13" /> {{ hold.rule.startsWith('E') ? `${hold.rule}: ` : ''
        }}{{ text.title(hold) }}
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
        <dt>{{ t('choose.humidity') }}</dt>
        <dd>{{ candidate.worstHumidity ? reader.print(candidate.worstHumidity) : '–' }}</dd>
      </div>
      <div>
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
      </template>
    </div>
    <div class="acts no-print">
      <button v-if="mayEdit && !candidate.excluded && !chosen" type="button" class="button" @click="emit('pick', '')">
        {{ t('choose.choose') }}
      </button>
      <button type="button" class="act" :aria-expanded="open" :aria-controls="`${id}-why`" @click="open = !open">
        {{ open ? t('choose.close') : t('choose.open') }}
      </button>
      <button type="button" class="act" :aria-pressed="compared" @click="emit('compare')">
        {{ compared ? t('choose.comparing') : t('choose.compare') }}
      </button>
    </div>
    <div v-if="open" :id="`${id}-why`" class="why">
      <section v-if="candidate.scores.length">
        <h4>{{ t('choose.scores') }}</h4>
        <table>
          <tbody>
            <tr v-for="score in candidate.scores" :key="score.part">
              <th scope="row">{{ t(`choose.part.${score.part}`) }}</th>
              <td class="num">
                <button type="button" class="worked" @click="workings.open(score.working)">
                  {{ reader.print(score.worth) }}
                </button>
              </td>
              <td class="num">{{ reader.print(score.measured) }}</td>
              <td class="num quiet">{{ t('choose.scorePart', { share: reader.print(score.weight) }) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h4>{{ t('choose.opinions') }}</h4>
        <ul>
          <li v-for="opinion in candidate.opinions" :key="opinion.rule">
            <VerdictMark :verdict="opinion.verdict" :size="15" />
            <div>
              <b>{{ text.title(opinion) }}</b>
              <p class="small">{{ text.detail(opinion) }}</p>
              <p class="small quiet">{{ opinion.source }}</p>
            </div>
          </li>
        </ul>
        <p v-if="candidate.opinionsDiffer" class="small quiet">{{ t('choose.differ') }}</p>
      </section>
      <section>
        <h4>{{ t('choose.rules') }}</h4>
        <p v-if="candidate.findings.length === 0" class="small">{{ t('choose.noRules') }}</p>
        <ul>
          <li v-for="finding in candidate.findings" :key="finding.rule">
            <VerdictMark :verdict="finding.verdict" :size="15" />
            <div>
              <b>{{ finding.rule }}: {{ text.title(finding) }}</b>
              <p class="small">{{ text.detail(finding) }}</p>
            </div>
          </li>
        </ul>
        <template v-if="candidate.excluded && mayOverride && mayYield">
          <button v-if="!overriding" type="button" class="act" @click="overriding = true">
            {{ t('choose.override') }}
          </button>
          <form v-else @submit.prevent="emit('pick', reason)">
            <label :for="`${id}-reason`">{{ t('choose.overrideReason') }}</label>
            <textarea :id="`${id}-reason`" v-model="reason" class="input" rows="2" maxlength="500" required />
            <button type="submit" class="button">{{ t('choose.override') }}</button>
          </form>
        </template>
      </section>
    </div>
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
.why {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 10px 22px;
  padding: 8px 0 4px;
}
h4 {
  font: 650 var(--text) var(--head);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.why li {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 6px;
  padding: 5px 0;
}
.why table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--text-s);
}
.why th {
  text-align: left;
  font-weight: 400;
}
.why td,
.why th {
  padding: 3px 6px 3px 0;
}
.num {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.worked {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  cursor: pointer;
  text-decoration: underline dotted var(--field-line) 2px;
  text-underline-offset: 4px;
}
form {
  display: grid;
  gap: 6px;
  margin-top: 6px;
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
