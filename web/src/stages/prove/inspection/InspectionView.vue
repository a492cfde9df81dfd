<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import PhotosOf from '@/shared/photos/PhotosOf.vue'
import ProveFrame from '../ProveFrame.vue'
import { useProof } from '../useProof'
import JointsSeen from './JointsSeen.vue'
import SamplesBox from './SamplesBox.vue'
import SignBox from './SignBox.vue'

/** What an inspector looks at before the foam is covered, and the signature under it. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const proof = useProof(
  () => props.job,
  () => props.surface,
)
const { answer, locked } = proof
const told = computed(() => proof.told.data.value)
// What was ticked a moment ago is seen at once, sent or not.
const list = computed(() =>
  (answer.value?.inspection ?? []).map(({ item, seen }) => ({
    item,
    seen: seen || proof.waitsFor('inspected', 'inspected', item) !== undefined,
  })),
)
</script>

<template>
  <ProveFrame :job="job" :surface="surface" route="proveInspection" :proof="proof" :findings="answer?.cover">
    <template v-if="answer && told">
      <h2>{{ t('prove.inspection.title') }}</h2>
      <p class="small">{{ t('prove.inspection.lead') }}</p>
      <ul>
        <li v-for="{ item, seen } in list" :key="item">
          <ElCheckbox
            :model-value="seen"
            :disabled="locked || seen"
            @change="proof.say({ kind: 'inspected', inspected: item })"
            >{{ t(`prove.item.${item}`) }}</ElCheckbox
          >
        </li>
      </ul>
      <PhotosOf :job="job" :about="{ surface }" :word="t('prove.inspection.photo')" />
      <SamplesBox
        :job="job"
        :surface="surface"
        :samples="answer.samples"
        :place="proof.place"
        :time-zone="told.timeZone"
        :locked="locked"
      />
      <JointsSeen :job="job" :joints="told.joints" :time-zone="told.timeZone" />
      <SignBox
        :surface="surface"
        :answer="answer"
        :place="proof.place"
        :time-zone="told.timeZone"
        :locked="locked"
        @say="proof.say"
      />
    </template>
  </ProveFrame>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}
li :deep(.el-checkbox) {
  min-height: 48px;
  height: auto;
  white-space: normal;
}
</style>
