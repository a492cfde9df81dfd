<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Finding, Schemas } from '../shared/api/client'
import { useFindingText } from '../shared/figures/findings'
import { useWindow } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/**
 * The gate of the surface in hand at a glance: one field of daylight per rule, with shadow hanging from its top edge.
 * The shadow is data: none is Clear, half is Care, all is Hold; a rule not read is dark and dotted.
 */
const props = defineProps<{ surface: Schemas['BoardRow']; job: string }>()
const PAUSE = 250
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const text = useFindingText()
// Who goes down the surfaces by keys asks for the gate where the keys stop; until it is known the last one is faint and says nothing.
const asked = refDebounced(
  computed(() => props.surface.id),
  PAUSE,
)
const known = useWindow(asked)
const window = computed(() => (asked.value === props.surface.id ? known.data.value : undefined))

const rules = computed(() => (known.data.value?.answer?.findings ?? []).filter((f) => f.isNumbered))
const gate = computed(() => window.value?.answer)
const shadow: Record<Finding['verdict'], number> = { clear: 0, care: 0.5, hold: 1 }

const nearby = computed(() => {
  const dew = gate.value && rules.value.find((f) => f.figures.dew)
  const [substrate, point] = [dew?.figures.substrate, dew?.figures.dew]
  return substrate && point
    ? t('window.dewNear', {
        substrate: reader.print(substrate),
        point: text.word(dew!.words.point!),
        dew: reader.print(point),
      })
    : window.value
      ? t('window.noneRead')
      : ''
})
const what = computed(() => `${props.surface.sheet ?? t('system.none')} · ${t(`kind.${props.surface.kind}`)}`)
const worst = computed(() => [...rules.value].sort((a, b) => shadow[b.verdict] - shadow[a.verdict])[0])
</script>

<template>
  <section class="band" :aria-label="t('window.bandTitle')">
    <div class="who" :title="listed([surface.name, what])">
      <h2>{{ surface.name }}</h2>
      <p class="small quiet">{{ what }}</p>
      <p class="small quiet">{{ nearby }}</p>
    </div>
    <ol v-if="rules.length && (gate || !window)" class="rules" :class="{ waits: !gate }" :inert="!gate">
      <li v-for="rule in rules" :key="rule.rule" :class="[rule.verdict, { unread: rule.case === 'unread' }]">
        <RouterLink
          :to="{ name: 'window', params: { job, surface: surface.id } }"
          :aria-label="
            t('window.bandWord', {
              rule: t(`window.short.${rule.rule}`),
              verdict: t(`verdict.${rule.verdict}`),
              title: text.title(rule),
            })
          "
          :title="text.told(rule)"
        >
          <span class="light"><span class="shadow" :style="{ height: `${shadow[rule.verdict] * 100}%` }" /></span>
          <span class="name">{{ t(`window.short.${rule.rule}`) }}</span>
        </RouterLink>
      </li>
    </ol>
    <p v-else class="rules quiet none">{{ window ? t('window.noSheet') : t('app.loading') }}</p>
    <div class="now">
      <h2>{{ t('window.bandTitle') }}</h2>
      <p v-if="gate && worst" class="small"><VerdictMark :verdict="gate.verdict" word /></p>
      <p v-if="gate && worst && gate.verdict !== 'clear'" class="small quiet">{{ text.title(worst) }}</p>
      <p v-else-if="window" class="small quiet">{{ t('window.laterHours') }}</p>
    </div>
  </section>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: 206px 1fr 216px;
  gap: 18px;
  padding: 8px 20px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  min-height: 84px;
  align-items: center;
}
h2 {
  font-size: 1rem;
}
.who p,
.who h2 {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.rules {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
}
.waits {
  opacity: 0.25;
}
.rules a {
  color: inherit;
  text-decoration: none;
  display: grid;
  gap: 3px;
}
.light {
  height: 42px;
  background: var(--daylight);
  display: block;
  border-right: 1px solid #ffffff55;
}
.shadow {
  display: block;
  background: var(--shadow);
}
.unread .shadow {
  background-image: radial-gradient(#ffffff66 1px, transparent 1.2px);
  background-size: 6px 6px;
}
.name {
  font-size: var(--text-s);
  color: var(--ink-2);
  text-align: center;
}
.none {
  display: block;
}
.now h2 {
  margin-bottom: 2px;
}
@media (max-width: 1000px) {
  .band {
    grid-template-columns: 1fr 1fr;
    padding: 8px 14px;
    gap: 8px 14px;
  }
  .rules {
    grid-column: 1 / -1;
    order: 3;
  }
  .light {
    height: 26px;
  }
}
</style>
