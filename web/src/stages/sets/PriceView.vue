<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { saveTable } from '@/shared/api/tableFile'
import { useProblems } from '@/shared/figures/problems'
import { useBoard } from '@/shared/state/job'
import { useMaterialRefresh, usePrice } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import { useTyped } from '@/shared/state/typed'
import FigureText from '@/shared/ui/FigureText.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import KeptBid from './KeptBid.vue'
import SetsFrame from './SetsFrame.vue'
import { useLineNames } from './lineNames'

/** What the job costs and what is asked for it on the day of the work; bids as they were made, and what has changed since. */
const props = defineProps<{ job: string }>()
const { t, d } = useI18n()
const reader = useReader()
const session = useSession()
const price = usePrice(() => props.job)
const board = useBoard(() => props.job)
const refresh = useMaterialRefresh()
const { general } = useProblems()
const names = useLineNames()
const fault = ref('')
const mayEdit = computed(() => session.person?.mayEdit ?? false)
const answer = computed(() => price.data.value ?? null)
const key = () => ['job', props.job, 'price']

const typed = useTyped(`price.${props.job}`, async (fields) => {
  const body = { version: answer.value?.jobVersion ?? null, units: reader.units, fields }
  await ask(api.PATCH('/api/jobs/{id}', { params: { path: { id: props.job } }, body }))
  await price.refetch()
  refresh(key())
})
const heaters = computed(() =>
  ['electric', 'indirect', 'propane', 'naturalGas', 'kerosene'].map((value) => ({
    value,
    text: t(`price.heaterKind.${value}`),
  })),
)

async function keep() {
  try {
    refresh(key(), await ask(api.POST('/api/jobs/{id}/bids', { params: { path: { id: props.job } } })))
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}
const off = useTakeOff(async (id) =>
  refresh(key(), await ask(api.DELETE('/api/bids/{id}', { params: { path: { id } } }))),
)
const keptBids = computed(() => (answer.value?.kept ?? []).filter((one) => !off.gone(one.id)))
const fig = (name: string) => reader.print(answer.value?.bid.figures[name])
const day = (iso: string | null | undefined) => (iso ? d(new Date(`${iso}T12:00:00`), { dateStyle: 'medium' }) : '')
const isSum = (line: Schemas['BidLineAnswer']) => ['overhead', 'profit', 'tax'].includes(line.key)

// What no way allows on that day is priced as if it were warm enough, and says so, on paper too.
const held = computed(() => {
  const all = (answer.value?.surfaces ?? []).filter((one) => one.allHeld).map((one) => one.name)
  return all.length ? t('price.heldSurfaces', { names: all.join(', ') }) : ''
})
const title = computed(() => t('price.paperTitle', { job: board.data.value?.job.name ?? '' }))
const paper = computed<Schemas['TablePage']>(() => ({
  units: reader.units,
  title: title.value,
  lead: [
    answer.value?.workDate
      ? t('price.paperDay', { day: day(answer.value.workDate) })
      : t('price.paperNoDay', { day: d(new Date(), { dateStyle: 'medium' }) }),
    t('price.paperArea', { area: fig('treated'), foam: fig('foam') }),
  ],
  columns: [
    { heading: t('price.col.what'), right: false, share: 4 },
    { heading: t('price.col.quantity'), right: true, share: 2 },
    { heading: t('price.col.amount'), right: true, share: 2 },
  ],
  lines: [
    ...(answer.value?.bid.lines ?? []).map((line) => ({
      cells: [names.line(line), reader.print(line.quantity), reader.print(line.amount.figure)],
      strong: false,
    })),
    { cells: [t('price.total'), '', fig('price')], strong: true },
  ],
  notes: [
    t('price.paperRate', { perArea: fig('perArea'), perBoardFoot: fig('perBoardFoot') }),
    ...(answer.value?.bid.missing.length
      ? [t('price.missing', { names: answer.value.bid.missing.map(names.named).join(', ') })]
      : []),
    ...(held.value ? [held.value] : []),
    t('price.paperSeason'),
    t('price.paperSafety'),
  ],
}))

async function save(kind: 'pdf' | 'xlsx') {
  try {
    await saveTable(kind, paper.value, title.value)
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}
</script>

<template>
  <SetsFrame :job="job" wide>
    <h1>{{ t('price.title') }}</h1>
    <ProblemNote v-if="price.error.value" :problem="price.error.value" @retry="price.refetch()" />
    <ElSkeleton v-else-if="!answer" :rows="8" animated />
    <template v-else>
      <p class="fault" role="alert">{{ fault || typed.notice.value }}</p>
      <div class="setting no-print">
        <TypedField
          :typed="typed"
          field="workDate"
          :label="t('price.workDate')"
          :kept="answer.workDate ?? ''"
          :hint="t('price.dateHint')"
          :disabled="!mayEdit"
        />
        <TypedField
          :typed="typed"
          field="spaceVolume"
          :label="t('price.space')"
          :kept="reader.print(answer.space)"
          :hint="t('price.spaceHint')"
          :disabled="!mayEdit"
        />
        <TypedField
          :typed="typed"
          field="spaceAirChanges"
          :label="t('price.airChanges')"
          :kept="reader.print(answer.airChanges)"
          :disabled="!mayEdit"
        />
        <TypedField
          :typed="typed"
          field="heater"
          :label="t('price.heater')"
          :kept="answer.heater"
          :options="heaters"
          :disabled="!mayEdit"
        />
      </div>
      <p class="quiet">
        {{
          answer.seasonAir
            ? t('price.season', { air: reader.print(answer.seasonAir), day: day(answer.workDate) })
            : t(answer.hasPlace ? 'price.noDay' : 'price.noPlace')
        }}
      </p>
      <ul v-if="answer.seasons.length" class="quiet seasons">
        <li v-for="season in answer.seasons" :key="season.sheet">
          {{
            t('price.coldSeason', {
              sheet: season.sheet,
              limit: reader.print(season.limit),
              from: day(season.from),
              until: day(season.until),
            })
          }}
          {{ season.hasColdGrade ? t('price.stockCold') : '' }}
        </li>
      </ul>
      <p v-if="!answer.surfaces.length" class="empty">{{ t('price.empty') }}</p>
      <div v-else class="two">
        <section>
          <table class="bid">
            <thead>
              <tr>
                <th scope="col">{{ t('price.col.what') }}</th>
                <th scope="col" class="right">{{ t('price.col.quantity') }}</th>
                <th scope="col" class="right">{{ t('price.col.amount') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in answer.bid.lines" :key="line.key" :class="{ sum: isSum(line) }">
                <th scope="row">{{ names.line(line) }}</th>
                <td class="right">{{ reader.print(line.quantity) }}</td>
                <td class="right"><FigureText :figure="line.amount.figure" :working="line.amount.working" /></td>
              </tr>
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">{{ t('price.total') }}</th>
                <td></td>
                <td class="right">{{ fig('price') }}</td>
              </tr>
            </tfoot>
          </table>
          <p class="quiet">
            {{
              t('price.rates', {
                perArea: fig('perArea'),
                perBoardFoot: fig('perBoardFoot'),
                hours: fig('crewHours'),
                days: fig('days'),
              })
            }}
          </p>
          <p v-if="answer.bid.missing.length" class="fault">
            {{ t('price.missing', { names: answer.bid.missing.map(names.named).join(', ') }) }}
            <RouterLink class="act" :to="{ name: 'firm' }">{{ t('firm.title') }}</RouterLink>
          </p>
          <p v-if="held" class="fault">{{ held }}</p>
          <p v-if="answer.bid.unentered.length" class="quiet">
            {{
              t('price.unentered', {
                rates: answer.bid.unentered.map((one) => t(`price.rate.${one}`)).join(', '),
              })
            }}
          </p>
          <div class="acts no-print">
            <button v-if="mayEdit" type="button" class="button main" @click="keep">{{ t('price.keep') }}</button>
            <button type="button" class="button" @click="save('pdf')">{{ t('price.pdf') }}</button>
            <button type="button" class="button" @click="save('xlsx')">{{ t('price.xlsx') }}</button>
          </div>
        </section>
        <section>
          <h2>{{ t('price.surfaces') }}</h2>
          <div class="scroll">
            <table>
              <thead>
                <tr>
                  <th scope="col">{{ t('price.surfaceCol.name') }}</th>
                  <th scope="col" class="right">{{ t('price.surfaceCol.substrate') }}</th>
                  <th scope="col">{{ t('price.surfaceCol.route') }}</th>
                  <th scope="col" class="right">{{ t('price.surfaceCol.sets') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="one in answer.surfaces" :key="one.id">
                  <th scope="row">
                    <RouterLink class="act" :to="{ name: 'sets', params: { job, surface: one.id } }">{{
                      one.name
                    }}</RouterLink>
                  </th>
                  <td class="right">
                    {{ reader.print(one.substrate) }}
                    <span class="small quiet">{{ t(`price.from.${one.from}`) }}</span>
                  </td>
                  <td :class="{ fault: one.allHeld }">
                    {{ one.allHeld ? t('price.allHeld') : t(`price.route.${one.route}.short`) }}
                  </td>
                  <td class="right">{{ reader.print(one.sets) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </section>
      </div>
      <section class="kept">
        <h2>{{ t('price.keptTitle') }}</h2>
        <TakenOff :off="off" />
        <p v-if="!keptBids.length" class="quiet">{{ t('price.keptNone') }}</p>
        <KeptBid
          v-for="bid in keptBids"
          :key="bid.id"
          :bid="bid"
          :locked="!mayEdit"
          @off="off.takeOff(bid.id, t('price.keptOf', { price: reader.print(bid.price) }))"
        />
      </section>
    </template>
    <template #side>
      <section class="small quiet">
        <p>{{ t('price.note') }}</p>
        <p>{{ t('price.paperSafety') }}</p>
      </section>
    </template>
  </SetsFrame>
</template>

<style scoped>
h1 {
  margin-bottom: 10px;
}
.seasons {
  margin: 6px 0 0;
  padding-left: 18px;
}
.setting {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px 18px;
  margin-bottom: 10px;
}
.fault:empty {
  display: none;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 36px;
  margin: 14px 0;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead th {
  font: 600 var(--text-s) var(--body);
  color: var(--ink-2);
}
.right {
  text-align: right;
  white-space: nowrap;
}
.sum th,
.sum td {
  color: var(--ink-2);
}
tfoot th,
tfoot td {
  font: 650 1.25rem var(--head);
  border-top: 2px solid var(--ink);
  border-bottom: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 12px;
}
.scroll {
  overflow-x: auto;
}
.kept {
  margin-top: 28px;
}
.empty {
  padding: 24px 0;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
