<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'

/** A flip point: the sentence, and where on its range today stands and the change lies. */
const props = defineProps<{ flip: Schemas['FlipAnswer']; advised: string }>()
const { t } = useI18n()
const reader = useReader()

const share = (amount: number) => (100 * (amount - props.flip.low)) / (props.flip.high - props.flip.low)
const now = computed(() => share(props.flip.now.amount))
const at = computed(() => share(props.flip.at.amount))
const far = computed(() =>
  props.flip.above ? { left: `${at.value}%`, right: '0' } : { left: '0', width: `${at.value}%` },
)

const words = computed(() => {
  const { flip } = props
  const head = t(`choose.flip.${flip.input}.${flip.above ? 'above' : 'below'}`, {
    at: reader.print(flip.at),
    apart: reader.print(flip.apart),
    winner: t(`candidate.${flip.winnerKind}`).toLowerCase(),
  })
  const cause = flip.cause === 'excluded' && !flip.rule ? 'excludedSoft' : flip.cause
  return t('choose.flip.told', {
    what: head,
    why: t(`choose.flip.cause.${cause}`, { rule: flip.rule ?? '', now: props.advised.toLowerCase() }),
  })
})
</script>

<template>
  <li>
    <p>{{ words }}</p>
    <span
      class="strip"
      role="img"
      :aria-label="
        t('choose.flipAria', {
          input: t(`choose.input.${flip.input}`),
          now: reader.print(flip.now),
          at: reader.print(flip.at),
        })
      "
    >
      <i class="far" :style="far" />
      <i class="now" :style="{ left: `${now}%` }" />
      <i class="at" :style="{ left: `${at}%` }" />
    </span>
    <span class="small quiet ends">
      <span>{{ t(`choose.input.${flip.input}`) }}</span>
      <span>{{ reader.print(flip.now) }} → <FigureText :figure="flip.at" :working="flip.working" /></span>
    </span>
  </li>
</template>

<style scoped>
li {
  padding: 8px 0 10px;
  break-inside: avoid;
}
.strip {
  position: relative;
  display: block;
  height: 12px;
  margin-top: 4px;
  border: 1px solid var(--field-line);
  border-radius: 6px;
  overflow: hidden;
}
.far {
  position: absolute;
  top: 0;
  bottom: 0;
  background: repeating-linear-gradient(115deg, transparent 0 4px, var(--field-line) 4px 5px);
}
.now,
.at {
  position: absolute;
  top: -1px;
  bottom: -1px;
  width: 3px;
  margin-left: -1.5px;
}
.now {
  background: var(--ink);
}
.at {
  background: var(--copper);
}
.ends {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
</style>
