<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useTimesIn } from '@/shared/state/times'

/** Joints of the surface: how each control layer carries on, and who saw it. They are signed in Survey, where they are kept. */
const props = defineProps<{
  job: string
  joints: readonly Schemas['SeenJointAnswer'][]
  timeZone?: string | null
}>()
const { t } = useI18n()
const times = useTimesIn(() => props.timeZone)
const LAYERS = ['water', 'air', 'vapour', 'heat'] as const
</script>

<template>
  <section>
    <h2>{{ t('prove.inspection.joints') }}</h2>
    <p v-if="!joints.length" class="quiet">{{ t('prove.inspection.jointsNone') }}</p>
    <ul>
      <li v-for="one in joints" :key="one.id">
        <b>{{ t('prove.inspection.jointOf', { kind: t(`joint.${one.kind}`), beyond: one.beyond }) }}</b>
        <span class="small">
          <span v-for="layer in LAYERS" :key="layer" class="layer">{{
            t('prove.inspection.layer', { layer: t(`layer.${layer}`), how: t(`handover.${one[layer]}`) })
          }}</span>
        </span>
        <span class="small" :class="{ open: !one.seenBy }">{{
          one.seenBy && one.seenAt
            ? t('prove.inspection.jointSeen', { who: one.seenBy, when: times.hour(one.seenAt) })
            : t('prove.inspection.jointUnseen')
        }}</span>
      </li>
    </ul>
    <RouterLink :to="{ name: 'joints', params: { job } }" class="to">{{ t('prove.inspection.toJoints') }}</RouterLink>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  gap: 2px;
  border-bottom: 1px solid var(--line);
  padding: 8px 0;
}
.layer {
  margin-right: 14px;
}
.open {
  color: var(--care);
  font-weight: 600;
}
.to {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
section {
  margin-bottom: 12px;
}
</style>
