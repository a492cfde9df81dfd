<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'

/** What the readings come to, and how much foam brings the thin places up. */
defineProps<{ depths: Schemas['DepthsAnswer']; specified: Schemas['FigureAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
</script>

<template>
  <dl>
    <div>
      <dt>{{ t('prove.depth.mean') }}</dt>
      <dd>{{ reader.print(depths.mean) }}</dd>
    </div>
    <div>
      <dt>{{ t('prove.depth.least') }}</dt>
      <dd>{{ reader.print(depths.least) }}</dd>
    </div>
    <div v-if="depths.bound && depths.boundWorking">
      <dt>{{ t('prove.depth.bound', { share: reader.print(depths.share) }) }}</dt>
      <dd><FigureText :figure="depths.bound" :working="depths.boundWorking" /></dd>
    </div>
    <div>
      <dt>{{ t('prove.depth.r') }}</dt>
      <dd><FigureText :figure="depths.effectiveR" :working="depths.resistanceWorking" /></dd>
      <dd class="small quiet">{{ t('prove.depth.rMean', { r: reader.print(depths.meanR) }) }}</dd>
    </div>
  </dl>
  <p class="small quiet">{{ t('prove.depth.of', { area: depths.area, edges: depths.edges }) }}</p>
  <p v-if="depths.lacksFoam" class="add">
    <b>{{ t('prove.depth.add') }}</b>
    {{
      t('prove.depth.addLead', {
        area: reader.print(depths.lacksArea),
        spec: reader.print(specified),
        foam: reader.print(depths.lacksFoam),
        coat: reader.print(depths.thinnestCoat),
      })
    }}
  </p>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 28px;
  margin: 0 0 8px;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font: 650 1.25rem var(--head);
  font-variant-numeric: tabular-nums;
}
dd.small {
  font: 400 var(--text-s) var(--body);
}
.add {
  border-left: 5px solid var(--hold);
  padding-left: 12px;
}
</style>
