<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useColdRoutes } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'

/** Ways to spray this surface on a cold day, side by side: sets, hours, heat, money, when it is done, and what speaks against each. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const routes = useColdRoutes(() => props.surface)
const answer = computed(() => routes.data.value ?? null)
const worst = (verdicts: readonly string[]) =>
  verdicts.includes('hold') ? 'hold' : verdicts.includes('care') ? 'care' : 'clear'
const columns = computed(() =>
  (answer.value?.routes ?? []).map((route) => ({
    ...route,
    verdict: worst(route.findings.map((one) => one.verdict)) as 'hold' | 'care' | 'clear',
    said: route.findings.filter((one) => one.verdict !== 'clear'),
  })),
)
const ROWS = ['sets', 'hours', 'heat', 'finish', 'cost'] as const
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
      <div class="scroll" tabindex="0" role="region" :aria-label="t('routes.title')">
        <table>
          <thead>
            <tr>
              <td></td>
              <th v-for="route in columns" :key="route.kind" scope="col" :class="{ chosen: route.chosen }">
                <VerdictMark :verdict="route.verdict" :size="15" /> {{ t(`price.route.${route.kind}.t`) }}
                <span v-if="route.chosen" class="small">{{ t('routes.priced') }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in ROWS" :key="row">
              <th scope="row">{{ t(`routes.row.${row}`) }}</th>
              <td v-for="route in columns" :key="route.kind" class="figure-cell" :class="{ chosen: route.chosen }">
                <FigureText v-if="route.figures[row]" :figure="route.figures[row]!" :working="route.workings[row]" />
                <template v-else>–</template>
                <template v-if="row === 'sets'">
                  <span v-for="foam in route.foams" :key="foam.sheet" class="small quiet foam">
                    {{ foam.sheet }} {{ reader.print(foam.sets) }}
                  </span>
                </template>
                <span v-if="row === 'heat' && route.figures.room" class="small quiet foam">
                  <i18n-t keypath="routes.room" scope="global">
                    <template #room>{{ reader.print(route.figures.room) }}</template>
                    <template #rh>{{ reader.print(route.figures.roomRh) }}</template>
                    <template #preheat>
                      <FigureText :figure="route.figures.preheat!" :working="route.workings.preheat" />
                    </template>
                  </i18n-t>
                </span>
              </td>
            </tr>
            <tr>
              <th scope="row">{{ t('routes.row.against') }}</th>
              <td v-for="route in columns" :key="route.kind" class="small" :class="{ chosen: route.chosen }">
                <FindingLine v-for="(one, i) in route.said" :key="i" :finding="one" :size="12" />
                <template v-if="!route.said.length">{{ t('routes.nothing') }}</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small quiet">{{ t('routes.note') }}</p>
    </template>
  </section>
</template>

<style scoped>
section {
  margin: 26px 0;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  min-width: 640px;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 7px 10px;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  font-weight: 650;
  min-width: 116px;
}
tbody th {
  color: var(--ink-2);
  padding-left: 0;
}
.figure-cell {
  font-weight: 650;
}
.foam {
  display: block;
  font-weight: 400;
}
.chosen {
  background: var(--in-hand);
}
thead .chosen {
  box-shadow: inset 0 4px var(--copper);
}
</style>
