<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Figure, Working } from '../api/client'
import { useReader } from '../state/reader'
import { useWorkings } from '../state/workings'
import { useWorkingNames } from '../figures/workingNames'

/** A figure in the reader's units; underlined where its workings open. */
defineProps<{ figure: Figure; working?: Working | null }>()
const reader = useReader()
const { open: openWorking } = useWorkings()
const { name } = useWorkingNames()
const { t } = useI18n()
</script>

<template>
  <button
    v-if="working"
    type="button"
    class="figure"
    :title="t('workings.open', { name: name(working.name) })"
    @click="openWorking(working)"
  >
    {{ reader.print(figure) }}
  </button>
  <span v-else>{{ reader.print(figure) }}</span>
</template>
