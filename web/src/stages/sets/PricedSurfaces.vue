<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** The surfaces of a bid: for which temperature and by which way each is priced, and a door to what other systems on it would cost. */
defineProps<{ job: string; surfaces: readonly Schemas['BidSurfaceAnswer'][]; open: string | null }>()
defineEmits<{ open: [surface: string | null] }>()
const { t } = useI18n()
const reader = useReader()
</script>

<template>
  <h2>{{ t('price.surfaces') }}</h2>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('price.surfaceCol.name') }}</th>
          <th scope="col" class="right">{{ t('price.surfaceCol.substrate') }}</th>
          <th scope="col">{{ t('price.surfaceCol.route') }}</th>
          <th scope="col" class="right">{{ t('price.surfaceCol.sets') }}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in surfaces" :key="one.id" :class="{ open: open === one.id }">
          <th scope="row">
            <RouterLink class="act" :to="{ name: 'sets', params: { job, surface: one.id } }">{{ one.name }}</RouterLink>
          </th>
          <td class="right">
            {{ reader.print(one.substrate) }}
            <span class="small quiet">{{ t(`price.from.${one.from}`) }}</span>
          </td>
          <td :class="{ fault: one.allHeld }">
            {{ one.allHeld ? t('price.allHeld') : t(`price.route.${one.route}.short`) }}
          </td>
          <td class="right">{{ reader.print(one.sets) }}</td>
          <td class="no-print">
            <ElButton
              link
              type="primary"
              :aria-expanded="open === one.id"
              @click="$emit('open', open === one.id ? null : one.id)"
            >
              {{ t('price.others') }}<span class="visually-hidden"> {{ one.name }}</span>
            </ElButton>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
.scroll {
  position: relative;
  overflow-x: auto;
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
tbody th,
tbody td {
  vertical-align: middle;
}
td .act,
td .el-button {
  white-space: nowrap;
}
tr.open {
  background: var(--in-hand);
}
</style>
