<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask, upload, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import AppBar from '@/shared/ui/AppBar.vue'
import FileButton from '@/shared/ui/FileButton.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import PlaceForm from './PlaceForm.vue'
import PlaceMonths from './PlaceMonths.vue'

/** Places with their monthly means and design air: those that ship and the firm's own, typed or read from an hourly weather file. */
type Place = Schemas['PlaceAnswer']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const queries = useQueryClient()
const { general } = useProblems()
const places = useQuery({ queryKey: ['places'], queryFn: () => ask(api.GET('/api/places')) })
const mayEdit = computed(() => session.may('edit'))
const route = useRoute()
const router = useRouter()
// Somebody came from a new job, whose form is kept meanwhile.
const forJob = computed(() => route.query.back === 'job')
const open = ref<string | null>(forJob.value ? 'new' : null)
const backWith = (place?: string) => router.push({ name: 'jobs', query: { new: '', ...(place && { place }) } })
const read = ref<Schemas['ReadPlace'] | null>(null)
const reading = ref(false)
const fault = ref('')

function refresh() {
  for (const key of ['places', 'choices', 'job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
}

const off = useTakeOff(async (id) => {
  await ask(api.DELETE('/api/places/{id}', { params: { path: { id } } }))
  refresh()
})

async function readFile([file]: File[], into?: string) {
  if (!file) return
  reading.value = true
  fault.value = ''
  read.value = null
  try {
    const path = into ? `/api/places/${into}/hours` : '/api/places/weather-file'
    read.value = await upload<Schemas['ReadPlace']>(path, file, 24)
    refresh()
  } catch (cause) {
    fault.value = general(cause)
  } finally {
    reading.value = false
  }
}

function done(made?: string) {
  open.value = null
  refresh()
  if (made && forJob.value) void backWith(made)
}

const shown = computed(() => (places.data.value ?? []).filter((place) => !off.gone(place.id)))
const print = (place: Place, figure: string) => reader.print(place.figures[figure])
</script>

<template>
  <AppBar :title="t('places.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('places.title') }}</h1>
    <p class="quiet lead">{{ t('places.lead') }}</p>
    <p v-if="forJob" class="told">
      <RouterLink class="act" :to="{ name: 'jobs', query: { new: '' } }">{{ t('places.back') }}</RouterLink>
    </p>
    <div v-if="mayEdit" class="acts">
      <FileButton accept=".epw" main :disabled="reading" @files="readFile($event)">
        {{ reading ? t('places.reading') : t('places.read') }}
      </FileButton>
      <ElButton @click="open = open === 'new' ? null : 'new'">{{ t('places.add') }}</ElButton>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-if="read" role="status" class="told">
      {{
        t('places.wasRead', {
          name: read.place.name,
          zone: read.place.climateZone,
          hours: read.hours,
          missing: read.missing,
          filled: read.filled,
        })
      }}
      <ElButton v-if="forJob" @click="backWith(read.place.id)">{{ t('places.useForJob') }}</ElButton>
    </p>
    <PlaceForm v-if="open === 'new'" @done="done" @cancel="open = null" />
    <TakenOff :off="off" />
    <ProblemNote v-if="places.error.value" :problem="places.error.value" @retry="places.refetch()" />
    <ElSkeleton v-else-if="!places.data.value" :rows="8" animated />
    <section v-for="place in shown" :key="place.id" class="place" :aria-label="place.name">
      <header>
        <h2>{{ place.name }}</h2>
        <span class="quiet">{{ t('places.zone', { zone: place.climateZone }) }} · {{ print(place, 'altitude') }}</span>
        <span class="quiet small source">{{ place.source }}</span>
        <span v-if="place.hasHours && !place.hoursLackWeather" class="quiet small">{{ t('places.hoursKept') }}</span>
        <template v-if="place.own && mayEdit">
          <ElButton link type="primary" @click="open = open === place.id ? null : place.id">
            {{ t('places.change') }}<span class="visually-hidden"> {{ place.name }}</span>
          </ElButton>
          <ElButton link type="primary" @click="off.takeOff(place.id, place.name)">
            {{ t('places.remove') }}<span class="visually-hidden"> {{ place.name }}</span>
          </ElButton>
        </template>
      </header>
      <p v-if="place.hoursLackWeather" class="told">
        {{ t('places.hoursShort') }}
        <FileButton v-if="mayEdit" accept=".epw" :disabled="reading" @files="readFile($event, place.id)">
          {{ t('places.readAgain') }}
        </FileButton>
      </p>
      <PlaceForm v-if="open === place.id" :place="place" @done="done()" @cancel="open = null" />
      <template v-else>
        <p class="design">
          {{ t('places.winter') }} <b>{{ print(place, 'heating') }}</b> · {{ t('places.summer') }}
          <b>{{ listed([print(place, 'cooling'), print(place, 'coolingRh')]) }}</b>
        </p>
        <PlaceMonths :place="place" />
      </template>
    </section>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 14px 0;
}
.told {
  border-left: 4px solid var(--copper);
  background: var(--sheet);
  padding: 10px 14px;
}
.place {
  border-top: 1px solid var(--line);
  padding: 14px 0;
}
.place header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.place h2 {
  margin: 0;
}
.design {
  margin: 6px 0 8px;
}
</style>
