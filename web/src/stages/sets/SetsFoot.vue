<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'

/** Sets of a whole job at the foot of the board, and what it costs for those who price. */
defineProps<{ feet: Schemas['BoardFeet']; job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
</script>

<template>
  {{ reader.print(feet.sets) }}
  <span v-if="feet.cost" class="small quiet">{{ t('board.feet.cost', { cost: reader.print(feet.cost) }) }}</span>
  <RouterLink v-if="session.may('price')" class="act" :to="{ name: 'price', params: { job } }">{{
    feet.price ? t('board.feet.price', { price: reader.print(feet.price) }) : t('board.feet.noPrice')
  }}</RouterLink>
</template>
