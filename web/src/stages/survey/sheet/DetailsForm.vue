<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useBuilding } from '@/shared/state/survey'
import type { Typed } from '@/shared/state/typed'
import TypedField from '@/shared/ui/TypedField.vue'

/** What else is asked of this kind of surface. */
const props = defineProps<{ job: string; surface: Surface; typed: Typed; locked: boolean }>()
const { t } = useI18n()
const reader = useReader()
const building = useBuilding(() => props.job)

const d = computed(() => props.surface.details)
const asks = (field: string) => d.value.asked.some((one) => one === field)
const profileParts = computed(() =>
  asks('girtProfile') ? (['flange', 'web', 'skin'] as const) : (['flange', 'web'] as const),
)
const words = (book: string, keys: readonly string[]) => keys.map((value) => ({ value, text: t(`${book}.${value}`) }))
const yesNo = computed(() => [
  { value: '', text: t('survey.sheet.unknown') },
  { value: 'yes', text: t('survey.sheet.yes') },
  { value: 'no', text: t('survey.sheet.no') },
])
const said = (yes: boolean | null | undefined) => (yes == null ? '' : yes ? 'yes' : 'no')
const buffers = computed(() => [
  { value: '', text: t('survey.sheet.noBuffer') },
  ...(building.data.value?.buffers.map((one) => ({ value: one.id, text: one.name })) ?? []),
])
const coverings = [
  'unknown',
  'shingles',
  'woodShingles',
  'tile',
  'metalSheets',
  'builtUpFelt',
  'singlePly',
  'coatedFoam',
]
const attachments = ['unknown', 'fullyAdhered', 'fastened', 'hereAndThere', 'ballasted']
const facings = ['unknown', 'north', 'northeast', 'east', 'southeast', 'south', 'southwest', 'west', 'northwest']
const shelters = ['unknown', 'open', 'sheltered', 'town']
const accesses = ['open', 'ladder', 'scaffold', 'crawling', 'servicesInTheWay']
const substrates = computed(() =>
  ['wood', 'metal', 'mineral'].map((value) => ({ value, text: t(`substrateName.${value}`) })),
)
</script>

<template>
  <section>
    <h2>{{ t('survey.sheet.details') }}</h2>
    <div class="grid">
      <TypedField
        :typed="typed"
        field="access"
        :label="t('survey.field.access')"
        :kept="d.access"
        :options="words('access', accesses)"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="substrate"
        :label="t('survey.field.substrate')"
        :kept="surface.substrate"
        :options="substrates"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('balloonFramed')"
        :typed="typed"
        field="balloonFramed"
        :label="t('survey.field.balloonFramed')"
        :kept="said(d.balloonFramed)"
        :options="yesNo"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('crawlSpace')"
        :typed="typed"
        field="crawlSpace"
        :label="t('survey.field.crawlSpace')"
        :kept="said(d.crawlSpace)"
        :options="yesNo"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('heldAtEnds')"
        :typed="typed"
        field="heldAtEnds"
        :label="t('survey.field.heldAtEnds')"
        :kept="said(d.heldAtEnds)"
        :options="yesNo"
        :disabled="locked"
      />
      <template v-if="asks('girtProfile') || asks('studProfile')">
        <TypedField
          v-for="part in profileParts"
          :key="part"
          :typed="typed"
          :field="part"
          :label="t(`survey.field.${part}`)"
          :kept="reader.print(d[part])"
          :disabled="locked"
        />
      </template>
      <TypedField
        v-if="asks('covering')"
        :typed="typed"
        field="covering"
        :label="t('survey.field.covering')"
        :kept="d.covering"
        :options="words('covering', coverings)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('attachment')"
        :typed="typed"
        field="attachment"
        :label="t('survey.field.attachment')"
        :kept="d.attachment"
        :options="words('attachment', attachments)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('doorSpare')"
        :typed="typed"
        field="doorSpare"
        :label="t('survey.field.doorSpare')"
        :kept="reader.print(d.doorSpare)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('penetration')"
        :typed="typed"
        field="penetration"
        :label="t('survey.field.penetration')"
        :kept="reader.print(d.penetration)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('facing')"
        :typed="typed"
        field="facing"
        :label="t('survey.field.facing')"
        :kept="d.facing"
        :options="words('facing', facings)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('shelter')"
        :typed="typed"
        field="shelter"
        :label="t('survey.field.shelter')"
        :kept="d.shelter"
        :options="words('shelter', shelters)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('faceHeight')"
        :typed="typed"
        field="faceHeight"
        :label="t('survey.field.faceHeight')"
        :kept="reader.print(d.faceHeight)"
        :disabled="locked"
      />
      <TypedField
        v-if="asks('coveredOn')"
        :typed="typed"
        field="coveredOn"
        :label="t('survey.field.coveredOn')"
        :kept="d.coveredOn ?? ''"
        day
        :disabled="locked"
      />
      <TypedField
        v-if="asks('buffer')"
        :typed="typed"
        field="buffer"
        :label="t('survey.field.buffer')"
        :kept="d.bufferId ?? ''"
        :options="buffers"
        :disabled="locked"
      />
    </div>
  </section>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 12px 16px;
}
</style>
