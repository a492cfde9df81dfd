<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useColdRoutes } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'

/** Ways to spray this surface on a cold day, side by side: sets, hours, heat, money, when it is done, and what speaks against each. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const routes = useColdRoutes(() => props.surface)
const answer = computed(() => routes.data.value ?? null)
const worst = (verdicts: readonly string[]) =>
  verdicts.includes('hold') ? 'hold' : verdicts.includes('care') ? 'care' : 'clear'
const ways = computed(() =>
  (answer.value?.routes ?? []).map((route) => ({
    ...route,
    verdict: worst(route.findings.map((one) => one.verdict)) as 'hold' | 'care' | 'clear',
    said: route.findings.filter((one) => one.verdict !== 'clear'),
  })),
)
const FIGURES = ['sets', 'hours', 'heat', 'finish', 'cost'] as const
const columns = computed((): Column<(typeof ways.value)[number]>[] => [
  { key: 'way', label: t('routes.way') },
  // Sets name their foams and heat its room: they are read as text.
  ...FIGURES.map((key) => ({ key, label: t(`routes.row.${key}`), figure: key !== 'sets' && key !== 'heat' })),
  { key: 'against', label: t('routes.row.against'), long: true },
])
</script>

<template>
  <section v-if="answer">
    <h2>{{ t('routes.title') }}</h2>
    <p v-if="!answer.routes.length" class="quiet">{{ t('routes.unknown') }}</p>
    <template v-else>
      <p class="quiet">
        {{
          t(answer.needed ? 'routes.needed' : 'routes.warm', {
            substrate: reader.print(answer.substrate),
            sheet: answer.sheet,
            from: t(`price.from.${answer.from}`),
          })
        }}
      </p>
      <DataTable
        :label="t('routes.title')"
        :columns="columns"
        :rows="ways"
        :by="(route) => route.kind"
        :row-class="(route) => (route.chosen ? 'chosen' : '')"
      >
        <template #way="{ row: route }">
          <VerdictMark :verdict="route.verdict" :size="15" /> {{ t(`price.route.${route.kind}.t`) }}
          <span v-if="route.chosen" class="small foam">{{ t('routes.priced') }}</span>
        </template>
        <template v-for="figure in FIGURES" :key="figure" #[figure]="{ row: route }">
          <FigureText v-if="route.figures[figure]" :figure="route.figures[figure]!" :working="route.workings[figure]" />
          <template v-else>–</template>
          <template v-if="figure === 'sets'">
            <span v-for="foam in route.foams" :key="foam.sheet" class="small quiet foam">
              {{ foam.sheet }} {{ reader.print(foam.sets) }}
            </span>
          </template>
          <span v-if="figure === 'heat' && route.figures.room" class="small quiet foam">
            <i18n-t keypath="routes.room" scope="global">
              <template #room>{{ reader.print(route.figures.room) }}</template>
              <template #rh>{{ reader.print(route.figures.roomRh) }}</template>
              <template #preheat>
                <FigureText :figure="route.figures.preheat!" :working="route.workings.preheat" />
              </template>
            </i18n-t>
          </span>
        </template>
        <template #against="{ row: route }">
          <div class="small against">
            <FindingLine v-for="(one, i) in route.said" :key="i" :finding="one" :size="12" />
            <template v-if="!route.said.length">{{ t('routes.nothing') }}</template>
          </div>
        </template>
      </DataTable>
      <p class="small quiet">{{ t('routes.note') }}</p>
    </template>
  </section>
</template>

<style scoped>
section {
  margin: 26px 0;
}
.foam {
  display: block;
  font-weight: 400;
}
</style>
