<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FindingsList from '@/shared/ui/FindingsList.vue'

/** Set points proposed, and what this rig reaches of them. */
const props = defineProps<{ proposed: Schemas['SetPointsAnswer']; sheet: string }>()
const { t } = useI18n()
const reader = useReader()
const slug = computed(() => props.proposed.sides.find((side) => side.slug && side.slugTrigger))
const tip = computed(() => {
  const { tip, largestTip } = props.proposed
  if (!tip) return ''
  return largestTip ? t('rig.proposed.tip', { tip, largest: largestTip }) : t('rig.proposed.tipNone', { tip })
})
</script>

<template>
  <section class="points">
    <h2>{{ t('rig.proposed.title') }}</h2>
    <p class="small quiet">{{ t('rig.proposed.lead', { sheet }) }}</p>
    <dl>
      <div>
        <dt>{{ t('rig.setting.primaryA') }}</dt>
        <dd>{{ reader.print(proposed.primaries) }}</dd>
      </div>
      <div>
        <dt>{{ t('rig.setting.primaryB') }}</dt>
        <dd>{{ reader.print(proposed.primaries) }}</dd>
      </div>
      <div>
        <dt>{{ t('rig.setting.hose') }}</dt>
        <dd>{{ reader.print(proposed.hose) }}</dd>
      </div>
      <div>
        <dt>{{ t('rig.setting.pressure') }}</dt>
        <dd>{{ reader.print(proposed.pressure) }}</dd>
      </div>
    </dl>
    <p v-if="tip" class="small">{{ tip }}</p>
    <p v-if="proposed.greatestFlow" class="small">
      {{ t('rig.proposed.greatest', { flow: reader.print(proposed.greatestFlow) }) }}
    </p>
    <p v-if="slug" class="small">
      {{
        t('rig.proposed.slug', {
          trigger: reader.print(slug.slugTrigger),
          slug: reader.print(slug.slug),
          side: slug.side.toUpperCase(),
        })
      }}
    </p>
    <FindingsList :findings="proposed.findings" />
  </section>
</template>

<style scoped>
.points :deep(.findings) {
  margin-top: 14px;
}
dl {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 14px;
  margin: 8px 0;
}
dt {
  font-size: 0.85rem;
  color: var(--ink-2);
}
dd {
  margin: 0;
  font: 650 1.2rem var(--head);
}
</style>
