<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useCitation } from '@/shared/figures/citations'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import { useDrive } from '@/shared/state/survey'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'

/** Which way vapour is driven in winter and summer, how hard, and what the faces come to. The direction of heat decides nothing. */
const props = defineProps<{ surface: string; kind: string }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const text = useFindingText()
const cited = useCitation()
const drive = useDrive(() => props.surface)

const seasons = computed(() =>
  drive.data.value ? (['winter', 'summer'] as const).map((name) => ({ name, ...drive.data.value![name] })) : [],
)
const strongest = computed(() => Math.max(400, ...seasons.value.map((s) => Math.abs(s.drivePa))))
const arrow = (s: Schemas['SeasonAnswer']) => {
  const length = 20 + (Math.abs(s.drivePa) / strongest.value) * 90
  return s.direction === 'outward'
    ? `M130 20 h-${length} m10 -9 l-11 9 l11 9`
    : `M30 20 h${length} m-10 -9 l11 9 l-11 9`
}
const SIDES = ['now', 'planned'] as const
const ROWS = [{ key: 'face' }, { key: 'interface' }] as const
const columns = computed((): Column<(typeof ROWS)[number]>[] => [
  {
    key: 'what',
    label: '',
    text: ({ key }) =>
      key === 'face'
        ? t('survey.drive.face')
        : t('survey.drive.interface', {
            layer: drive.data.value?.interfaceKey ? t(`material.${drive.data.value.interfaceKey}`) : '',
          }),
  },
  ...SIDES.map((key) => ({ key, label: t(`survey.drive.${key}`) })),
])
</script>

<template>
  <section v-if="drive.data.value">
    <h2>{{ t('survey.drive.title') }}</h2>
    <div class="seasons">
      <article v-for="s in seasons" :key="s.name">
        <h3>{{ t(`survey.drive.${s.name}`) }}</h3>
        <div class="arrow">
          <p>
            <span class="small quiet">{{ t('survey.drive.outside') }}</span><b>{{ reader.print(s.outsidePressure) }}</b
            ><span class="small">{{ reader.print(s.outdoorTemp) }}</span>
          </p>
          <svg viewBox="0 0 160 40" width="160" height="40" role="img" :aria-label="t(`survey.drive.${s.direction}`)">
            <path v-if="s.direction !== 'none'" :d="arrow(s)" fill="none" stroke="var(--copper)" stroke-width="4" />
            <line v-else x1="70" x2="90" y1="20" y2="20" stroke="var(--field-line)" stroke-width="4" />
          </svg>
          <p>
            <span class="small quiet">{{ t('survey.drive.room') }}</span><b>{{ reader.print(s.insidePressure) }}</b
            ><span class="small">{{ reader.print(s.indoorTemp) }}</span>
          </p>
        </div>
        <p>
          <i18n-t :keypath="`survey.drive.${s.direction}`" scope="global">
            <template #drive><FigureText :figure="s.drive.figure" :working="s.drive.working" /></template>
          </i18n-t>
        </p>
        <DataTable
          v-if="s.now || s.planned"
          :label="t(`survey.drive.${s.name}`)"
          :columns="columns"
          :rows="ROWS"
          :by="(row) => row.key"
        >
          <template v-for="side in SIDES" :key="side" #[side]="{ row }">
            <template v-if="!s[side]">–</template>
            <FigureText
              v-else-if="row.key === 'face'"
              :figure="s[side].roomFace.figure"
              :working="s[side].roomFace.working"
            />
            <template v-else>{{
              listed([
                reader.print(s[side].interfaceTemp),
                s[side].wouldCondense ? t('survey.drive.condenses') : reader.print(s[side].interfaceHumidity),
              ])
            }}</template>
          </template>
        </DataTable>
      </article>
    </div>
    <p v-for="finding in drive.data.value.findings" :key="finding.case" class="finding">
      <VerdictMark :verdict="finding.verdict" :size="18" /> <b>{{ text.title(finding) }}</b> {{ text.detail(finding) }}
      <span class="small quiet">{{ cited(finding.source) }}</span>
    </p>
    <p class="small quiet">{{ t('survey.drive.lead') }}</p>
  </section>
</template>

<style scoped>
.seasons {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 24px;
}
.arrow {
  display: flex;
  align-items: center;
  gap: 10px;
}
.arrow p {
  display: grid;
  line-height: 1.25;
}
.finding {
  margin: 12px 0;
}
</style>
