<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'

/** The surfaces of a bid: for which temperature and by which way each is priced, and a door to what other systems on it would cost. */
defineProps<{ job: string; surfaces: readonly Schemas['BidSurfaceAnswer'][]; open: string | null }>()
defineEmits<{ open: [surface: string | null] }>()
const { t } = useI18n()
const reader = useReader()
type One = Schemas['BidSurfaceAnswer']
const columns = computed((): Column<One>[] => [
  { key: 'name', label: t('price.surfaceCol.name') },
  { key: 'substrate', label: t('price.surfaceCol.substrate'), figure: true },
  {
    key: 'route',
    label: t('price.surfaceCol.route'),
    text: (one) => (one.allHeld ? t('price.allHeld') : t(`price.route.${one.route}.short`)),
    class: (one) => (one.allHeld ? 'fault' : ''),
  },
  { key: 'sets', label: t('price.surfaceCol.sets'), text: (one) => reader.print(one.sets), figure: true },
  { key: 'others', label: '', onScreenOnly: true },
])
</script>

<template>
  <h2>{{ t('price.surfaces') }}</h2>
  <DataTable
    :label="t('price.surfaces')"
    :columns="columns"
    :rows="surfaces"
    :by="(one) => one.id"
    :row-class="(one) => (open === one.id ? 'chosen' : '')"
  >
    <template #name="{ row: one }">
      <RouterLink class="act" :to="{ name: 'sets', params: { job, surface: one.id } }">{{ one.name }}</RouterLink>
    </template>
    <template #substrate="{ row: one }">
      {{ reader.print(one.substrate) }} <span class="small quiet">{{ t(`price.from.${one.from}`) }}</span>
    </template>
    <template #others="{ row: one }">
      <ElButton
        link
        type="primary"
        :aria-expanded="open === one.id"
        @click="$emit('open', open === one.id ? null : one.id)"
      >
        {{ t('price.others') }}<span class="visually-hidden"> {{ one.name }}</span>
      </ElButton>
    </template>
  </DataTable>
</template>
