<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import ProveFrame from '../ProveFrame.vue'
import { useProof } from '../useProof'
import DefectCard from './DefectCard.vue'
import DefectForm from './DefectForm.vue'

/** What is wrong with the foam, from its finding to its closing. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const proof = useProof(
  () => props.job,
  () => props.surface,
)
const { answer, locked } = proof
// Open ones first: they are what is left to do.
const ORDER = { open: 0, repaired: 1, closed: 2 }
const defects = computed(() =>
  (answer.value?.defects ?? []).toSorted((one, other) => ORDER[one.state] - ORDER[other.state]),
)
</script>

<template>
  <ProveFrame
    :job="job"
    :surface="surface"
    route="proveDefects"
    :proof="proof"
    :findings="answer?.cover.filter((one) => one.case === 'defects')"
  >
    <template v-if="answer">
      <p class="small">{{ t('prove.defects.lead') }}</p>
      <DefectForm v-if="!locked" :job="job" :surface="surface" :place="proof.place" :places="answer.places" />
      <p v-if="!defects.length" class="quiet">{{ t('prove.defects.none') }}</p>
      <DefectCard
        v-for="one in defects"
        :key="one.id"
        :job="job"
        :surface="surface"
        :defect="one"
        :place="proof.place"
        :time-zone="proof.told.data.value?.timeZone"
        :locked="locked"
        @say="proof.say"
      />
    </template>
  </ProveFrame>
</template>
