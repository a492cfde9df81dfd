<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import type { Schemas } from '@/shared/api/client'
import AppBar from '@/shared/ui/AppBar.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import SequenceForm from './SequenceForm.vue'
import { useSequences } from './useSequenceDraft'

/** The firm's sequences: those that are supplied, or its own. */
type Kind = Schemas['SequenceKind']
const { t, tm } = useI18n()
const sequences = useSequences()
const kind = ref<Kind>('dayStart')
const which = computed({ get: () => kind.value as string | undefined, set: (one) => (kind.value = one as Kind) })
const kinds = computed(() =>
  (sequences.data.value ?? []).map((one) => ({ value: one.kind, text: t(`sequence.kind.${one.kind}`) })),
)
const shown = computed(() => sequences.data.value?.find((one) => one.kind === kind.value))
const supplied = computed(() => new Set(Object.keys(tm('sequence.step') as object)))
</script>

<template>
  <AppBar :title="t('sequence.edit.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('sequence.edit.title') }}</h1>
    <p class="quiet lead">{{ t('sequence.edit.lead') }}</p>
    <ProblemNote v-if="sequences.error.value" :problem="sequences.error.value" @retry="sequences.refetch()" />
    <ElSkeleton v-else-if="!sequences.data.value" :rows="8" animated />
    <template v-else-if="shown">
      <PickField v-model="which" class="which" name="sequence" :label="t('sequence.edit.which')" :options="kinds" />
      <SequenceForm :key="shown.kind" :sequence="shown" :supplied="supplied" />
    </template>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
  margin-bottom: 14px;
}
.which {
  max-width: 320px;
  margin-bottom: 8px;
}
</style>
