<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import HourStrip from '@/shared/hours/HourStrip.vue'
import { useHours, useHourWords, type Acts, type Hour } from '@/shared/hours/useHours'
import { useWriting } from '@/i18n/writing'
import { useReader } from '@/shared/state/reader'
import FoldBox from '@/shared/ui/FoldBox.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import AfterSpraying from './AfterSpraying.vue'
import CheapestStart from './CheapestStart.vue'
import DrumsLine from './DrumsLine.vue'
import EarlierStarts from './EarlierStarts.vue'
import HourTable from './HourTable.vue'
import MonthStrip from './MonthStrip.vue'
import SiteCorrection from './SiteCorrection.vue'
import SkinChart from './SkinChart.vue'
import WashLine from './WashLine.vue'

/** The hours ahead of a surface: the strip, what the hour in hand says, the next window, and what limits until then. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
// What is done about the weather, and how that is said; the hours are then those with it.
const acts = ref<Acts>({})
const acted = ref('')
const known = useHours(() => props.surface, acts)
const hours = computed(() => known.data.value)
// Until the hours asked for are there those before them stay, faint: they are not what was asked for.
const waits = computed(() => known.isPlaceholderData.value)
const words = useHourWords(
  () => props.job,
  () => hours.value,
)
const days = ref(3)
const spans = computed(() => [3, 10].map((value) => ({ value, label: t('hours.days', { n: value }) })))
const at = ref(0)
watch(days, (now) => (at.value = Math.min(at.value, now * 24 - 1)))
const shown = computed(() => hours.value?.hours.slice(0, days.value * 24) ?? [])
const hour = computed(() => hours.value?.hours[at.value])
const next = computed(() => hours.value?.windows[0])
const best = computed(() => {
  const all = hours.value?.windows ?? []
  const one = all.reduce<(typeof all)[number] | undefined>((a, b) => (a && a.holding >= b.holding ? a : b), undefined)
  return one && one !== next.value && one.holding > (next.value?.holding ?? 0) ? one : undefined
})

// Spells with one limit and one verdict, told by their worst hour.
const spells = computed(() => {
  const groups: { from: Hour; to: Hour; worst: Hour }[] = []
  for (const one of shown.value) {
    const last = groups.at(-1)
    if (last && last.to.verdict === one.verdict && last.to.limit === one.limit) {
      last.to = one
      if (one.depth > last.worst.depth) last.worst = one
    } else groups.push({ from: one, to: one, worst: one })
  }
  return groups.filter((group) => group.worst.limit).slice(0, 5)
})
const told = useTemplateRef<HTMLElement>('told')
async function take(what: Acts, said: string) {
  acts.value = what
  acted.value = said
  await nextTick()
  told.value?.scrollIntoView({ block: 'center' })
  told.value?.focus({ preventScroll: true })
}
const end = (one: Hour) => words.when(new Date(Date.parse(one.start) + 3_600_000))

// Of ten days without a window: the hour that came nearest, and what it lacks.
const nearest = computed(() => {
  const worked = hours.value?.hours.filter((one) => one.worked && one.verdict) ?? []
  return worked.toSorted((a, b) => a.depth - b.depth || b.passing - a.passing)[0]
})
const assumed = computed(() => listed((hours.value?.assumed ?? []).map((key) => t(`hours.assumed.${key}`))))
</script>

<template>
  <section class="hours-ahead" :class="{ waits }" :aria-label="t('hours.title')">
    <p v-if="acted" ref="told" class="acted" role="status" tabindex="-1">
      {{ waits ? t('app.loading') : t('hours.acts.shown', { what: acted }) }}
      <ElButton link type="primary" @click="take({}, '')">{{ t('hours.acts.back') }}</ElButton>
    </p>
    <ProblemNote v-if="known.error.value" :problem="known.error.value" @retry="known.refetch()" />
    <ElSkeleton v-else-if="!hours" :rows="4" animated />
    <template v-else>
      <p v-for="trouble in hours.troubles" :key="trouble.source" class="small trouble" role="status">
        {{ t(`hours.trouble.${trouble.trouble}`, { source: trouble.source, detail: trouble.detail }) }}
      </p>
      <p v-if="hours.lack" class="quiet">
        {{ t(`hours.lack.${hours.lack}`) }}
        <RouterLink v-if="hours.lack === 'place' || hours.lack === 'position'" class="act" :to="{ name: 'places' }">
          {{ t('hours.toPlaces') }}
        </RouterLink>
      </p>
      <template v-else>
        <p v-if="hours.source && hours.source.kind !== 'forecast'" class="usual" role="status">
          {{ t(`hours.${hours.source.kind}`) }}
        </p>
        <div class="head">
          <div role="group" :aria-label="t('hours.span')">
            <ElButton
              v-for="span in spans"
              :key="span.value"
              :aria-pressed="days === span.value"
              :type="days === span.value ? 'primary' : undefined"
              @click="days = span.value"
              >{{ span.label }}</ElButton
            >
          </div>
          <p class="small quiet source">
            {{
              hours.source?.issuedAt
                ? t('hours.credit', {
                    credit: hours.source.credit,
                    runs: hours.source.members,
                    when: words.when(hours.source.issuedAt),
                  })
                : ''
            }}
          </p>
        </div>
        <SiteCorrection :job="job" :hours="hours" />
        <HourStrip v-model:at="at" :job="job" :hours="hours" :count="days * 24" tall />
        <div v-if="hour" class="hour">
          <p><VerdictMark :verdict="hour.verdict" /> {{ words.told(hour) }}</p>
          <p v-for="line in words.readings(hour)" :key="line" class="small quiet">{{ line }}</p>
          <p class="small quiet">{{ words.sun(hour) }}</p>
        </div>
        <SkinChart :hours="shown" />
        <div class="answers">
          <div>
            <h2>{{ t('hours.next') }}</h2>
            <template v-if="next">
              <p class="big">{{ t('hours.fromTo', { from: words.when(next.from), to: words.when(next.until) }) }}</p>
              <p class="small quiet">
                {{
                  t('hours.holds', {
                    holding: next.holding,
                    runs: hours.source!.members,
                    by: words.when(next.beginBy),
                    spraying: reader.print(hours.spraying),
                    cure: reader.print(hours.cure),
                  })
                }}
              </p>
            </template>
            <template v-else>
              <p class="big">{{ t('hours.none') }}</p>
              <p v-if="nearest" class="small quiet">
                {{
                  nearest.verdict === 'hold'
                    ? t('hours.nearest', { when: words.when(nearest.start), limit: words.limit(nearest) })
                    : t('hours.tooShort', { spraying: reader.print(hours.spraying), cure: reader.print(hours.cure) })
                }}
              </p>
            </template>
            <DrumsLine v-if="hours.drums" :drums="hours.drums" :sheet="hours.limits?.sheet ?? ''" :when="words.when" />
            <WashLine v-if="!acted" :surface="surface" :when="words.when" @take="take" />
            <p v-if="hours.inParts" class="small quiet">
              {{ t('hours.inParts', { whole: reader.print(hours.whole) }) }}
            </p>
          </div>
          <div v-if="best">
            <h2>{{ t('hours.best') }}</h2>
            <p class="big">{{ t('hours.fromTo', { from: words.when(best.from), to: words.when(best.until) }) }}</p>
            <p class="small quiet">
              {{ t('hours.bestHolds', { holding: best.holding, runs: hours.source!.members }) }}
            </p>
          </div>
          <EarlierStarts :surface="surface" :runs="hours.source!.members" :when="words.when" @take="take" />
          <div>
            <h2>{{ t('hours.limits') }}</h2>
            <ul class="spells small">
              <li v-for="spell in spells" :key="spell.from.start">
                <VerdictMark :verdict="spell.worst.verdict" />
                <span
                  ><b>{{ t('hours.until', { when: end(spell.to) }) }}</b> {{ words.limit(spell.worst) }}</span
                >
              </li>
              <li v-if="!spells.length">{{ t('hours.noLimits') }}</li>
            </ul>
          </div>
        </div>
        <AfterSpraying
          v-if="hours.after"
          :job="job"
          :surface="surface"
          :after="hours.after"
          :sheet="hours.limits?.sheet ?? ''"
          :runs="hours.source!.members"
        />
        <CheapestStart :job="job" :surface="surface" :hours="hours" @take="take" />
        <p v-if="assumed" class="small quiet">{{ t('hours.assumedLead', { what: assumed }) }}</p>
        <MonthStrip :job="job" :surface="surface" />
        <FoldBox :title="t('hours.table')">
          <HourTable :hours="shown" :runs="words.runs()" :when="words.when" />
        </FoldBox>
      </template>
    </template>
  </section>
</template>

<style scoped>
.hours-ahead {
  margin-bottom: 20px;
}
.waits > :not(.acted) {
  opacity: 0.3;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 6px;
}
.hour {
  min-height: 3.2em;
  margin-top: 4px;
}
.acted {
  border-left: 5px solid var(--clear);
  background: var(--sheet);
  padding: 6px 12px;
  margin-bottom: 6px;
}
.trouble,
.usual {
  border-left: 4px solid var(--care);
  padding: 4px 12px;
  margin-bottom: 6px;
}
.answers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 24px;
  border-top: 2px solid var(--ink);
  margin-top: 12px;
  padding-top: 10px;
}
.big {
  font: 650 1.25rem var(--head);
}
.spells {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.spells li {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: start;
}
h2 {
  margin-bottom: 4px;
}
</style>
