<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useTimes } from '@/shared/state/times'
import type { FoamLook } from './foamPicture'
import FoamSketch from './FoamSketch.vue'

/** The last shots beside one another, the newest first: what a change did. */
const props = defineProps<{ job: string; shots: readonly Schemas['FiredShotAnswer'][] }>()
const { t, n } = useI18n()
const writing = useWriting()
const times = useTimes(() => props.job)
type Shot = Schemas['FiredShotAnswer']

const seconds = (timed: number | null | undefined) =>
  typeof timed === 'number' ? `${n(timed, { minimumFractionDigits: 1, maximumFractionDigits: 1 })} s` : '–'
const look = ({ question: { seen } }: Shot): FoamLook => {
  const { rise, ...rest } = seen ?? {}
  const known = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== null))
  return rise ? { ...known, rose: rise } : known
}
function standing(shot: Shot) {
  if (shot.loss) return t(`rig.loss.${shot.loss}`)
  if (shot.acceptedBy) return t('rig.diagnosis.accepted', { by: shot.acceptedBy })
  return t(shot.acceptable ? 'rig.last.open' : 'rig.last.failed')
}
function likeliest({ answer }: Shot) {
  const cause = answer.causes[0]
  if (!cause) return '–'
  return writing.noted(t(`rig.cause.${cause.id}`), n(cause.chance, { style: 'percent', maximumFractionDigits: 0 }))
}
</script>

<template>
  <section class="last">
    <h2>{{ t('rig.last.title') }}</h2>
    <p v-if="!shots.length" class="quiet">{{ t('rig.last.none') }}</p>
    <ol v-else>
      <li v-for="shot in shots" :key="shot.id">
        <FoamSketch :look="look(shot)" />
        <dl>
          <dt>{{ t('rig.last.when') }}</dt>
          <dd>{{ times.time(shot.at) }}</dd>
          <dt>{{ t('rig.last.substrate') }}</dt>
          <dd>{{ t(`rig.substrate.${shot.substrate}`) }}</dd>
          <dt>{{ t('rig.last.cream') }}</dt>
          <dd>{{ seconds(shot.question.seen?.creamS) }}</dd>
          <dt>{{ t('rig.last.tackFree') }}</dt>
          <dd>{{ seconds(shot.question.seen?.tackFreeS) }}</dd>
          <dt>{{ t('rig.last.likeliest') }}</dt>
          <dd>{{ likeliest(shot) }}</dd>
          <dt>{{ t('rig.last.state') }}</dt>
          <dd>{{ standing(shot) }}</dd>
        </dl>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 12px;
}
li {
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  padding: 10px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 6px 0 0;
  font-size: 0.92rem;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
}
</style>
