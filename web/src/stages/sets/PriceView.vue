<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useJobFields } from '@/shared/state/fields'
import { usePapers } from '@/shared/state/papers'
import { useMaterialRefresh, usePrice } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import { useClock } from '@/shared/state/clock'
import { useDays, useTimes } from '@/shared/state/times'
import PapersMade from '@/shared/ui/PapersMade.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import AlternativePrices from './AlternativePrices.vue'
import BidLines from './BidLines.vue'
import KeptBid from './KeptBid.vue'
import PricedSurfaces from './PricedSurfaces.vue'
import SetsFrame from './SetsFrame.vue'
import { useBidNotes } from './bidNotes'

/** What the job costs and what is asked for it on the day of the work; bids as they were made, and what has changed since. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const price = usePrice(() => props.job)
const refresh = useMaterialRefresh()
const { general } = useProblems()
const fault = ref('')
const mayEdit = computed(() => session.may('price'))
const answer = computed(() => price.data.value ?? null)
const key = () => ['job', props.job, 'price']

const typed = useJobFields(() => props.job)
const heaters = computed(() =>
  ['electric', 'indirect', 'propane', 'naturalGas', 'kerosene'].map((value) => ({
    value,
    text: t(`price.heaterKind.${value}`),
  })),
)

async function keep() {
  try {
    const path = { id: props.job }
    const send = (command: string) => ask(api.POST('/api/jobs/{id}/bids', { params: { path, query: { command } } }))
    refresh(key(), await once('bid', path, send))
    fault.value = ''
  } catch (cause) {
    fault.value = general(cause)
  }
}
const off = useTakeOff(async (id) =>
  refresh(key(), await ask(api.DELETE('/api/bids/{id}', { params: { path: { id } } }))),
)
const keptBids = computed(() => (answer.value?.kept ?? []).filter((one) => !off.gone(one.id)))
const day = useDays()

const { held, missing, free } = useBidNotes(answer)
const papers = usePapers(() => props.job)
const open = ref<string | null>(null)
const times = useTimes(() => props.job)
const now = useClock()
const isPast = computed(() => !!answer.value?.workDate && answer.value.workDate < times.date(now.value))
</script>

<template>
  <SetsFrame :job="job" wide>
    <h1>{{ t('price.title') }}</h1>
    <ProblemNote v-if="price.error.value" :problem="price.error.value" @retry="price.refetch()" />
    <ElSkeleton v-else-if="!answer" :rows="8" animated />
    <template v-else>
      <p class="fault" role="alert">{{ fault || papers.fault.value || typed.notice.value }}</p>
      <div class="setting no-print">
        <TypedField
          :typed="typed"
          field="workDate"
          :label="t('price.workDate')"
          :kept="answer.workDate ?? ''"
          day
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
      <p v-if="isPast" class="fault">{{ t('price.pastDay') }}</p>
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
          <BidLines :bid="answer.bid" />
          <p v-if="missing" class="fault">
            {{ missing }}
            <RouterLink class="act" :to="{ name: 'firm' }">{{ t('firm.title') }}</RouterLink>
          </p>
          <p v-if="free" class="quiet">{{ free }}</p>
          <p v-if="held" class="fault">{{ held }}</p>
          <p v-if="answer.bid.unentered.length" class="quiet">
            {{
              t('price.unentered', {
                rates: listed(answer.bid.unentered.map((one) => t(`price.rate.${one}`))),
              })
            }}
          </p>
          <div class="acts no-print">
            <ElButton v-if="mayEdit" type="primary" @click="keep">{{ t('price.keep') }}</ElButton>
            <ElButton
              :disabled="!!missing || papers.waits.value"
              :aria-describedby="missing ? 'no-outer' : undefined"
              @click="papers.make({ kind: 'outerBid' }, 'pdf')"
            >
              {{ t('price.outer.pdf') }}
            </ElButton>
            <ElButton
              v-for="ending in ['pdf', 'xlsx'] as const"
              :key="ending"
              :disabled="papers.waits.value"
              @click="papers.make({ kind: 'innerBid' }, ending)"
            >
              {{ t(`price.inner.${ending}`) }}
            </ElButton>
          </div>
          <p v-if="missing" id="no-outer" class="small quiet no-print">{{ t('price.outer.incomplete') }}</p>
        </section>
        <section>
          <PricedSurfaces :job="job" :surfaces="answer.surfaces" :open="open" @open="open = $event" />
        </section>
      </div>
      <AlternativePrices v-if="open" :key="open" :job="job" :surface="open" @close="open = null" />
      <PapersMade :job="job" :kinds="['outerBid', 'innerBid']" @again="papers.again" />
      <section class="kept">
        <h2>{{ t('price.keptTitle') }}</h2>
        <TakenOff :off="off" />
        <p v-if="!keptBids.length" class="quiet">{{ t('price.keptNone') }}</p>
        <KeptBid
          v-for="bid in keptBids"
          :key="bid.id"
          :job="job"
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
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 12px;
}
.kept {
  margin-top: 28px;
}
.empty {
  padding: 24px 0;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
