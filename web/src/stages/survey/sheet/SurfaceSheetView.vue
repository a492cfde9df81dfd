<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { RouterLink } from 'vue-router'
import SectionSketch from '@/shared/drawing/SectionSketch.vue'
import { useSurfaceFields } from '@/shared/state/fields'
import { useBoard, useSurfaces } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import FindingsList from '@/shared/ui/FindingsList.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import SurveyFrame from '../SurveyFrame.vue'
import AssemblyForm from './AssemblyForm.vue'
import DetailsForm from './DetailsForm.vue'
import DrivePanel from './DrivePanel.vue'
import LogsPanel from './LogsPanel.vue'
import NotesPanel from './NotesPanel.vue'
import PhotosPanel from './PhotosPanel.vue'
import SplitForm from './SplitForm.vue'
import TakeoffDrawing from './TakeoffDrawing.vue'

/** Everything the walk-through finds out about one surface. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const surfaces = useSurfaces(() => props.job)
const board = useBoard(() => props.job)

const row = computed(() => surfaces.data.value?.find((one) => one.id === props.surface))
const layers = computed(() => board.data.value?.rows.find((one) => one.id === props.surface)?.sketch ?? [])
const locked = computed(() => !session.may('edit'))
const typed = useSurfaceFields(
  () => props.job,
  () => props.surface,
)
</script>

<template>
  <SurveyFrame :job="job" :surface="surface">
    <ProblemNote v-if="surfaces.error.value" :problem="surfaces.error.value" @retry="surfaces.refetch()" />
    <ElSkeleton v-else-if="surfaces.isPending.value" :rows="8" animated />
    <p v-else-if="!row" class="quiet">{{ t('problem.notFound') }}</p>
    <div v-else :key="surface" class="sheet">
      <header>
        <div>
          <h1>{{ row.name }}</h1>
          <p class="quiet">{{ t(`kind.${row.kind}`) }}</p>
        </div>
        <SectionSketch :layers="layers" :width="220" :height="56" />
      </header>
      <p v-if="typed.notice.value" class="fault" role="alert">{{ typed.notice.value }}</p>
      <TakeoffDrawing :surface="row" />
      <SplitForm v-if="!locked && row.cutAlong.length" :job="job" :surface="row" />
      <DetailsForm :job="job" :surface="row" :typed="typed" :locked="locked" />
      <AssemblyForm :job="job" :surface="row" :typed="typed" :locked="locked" />
      <DrivePanel :surface="surface" :kind="row.kind" />
      <NotesPanel :job="job" :surface="surface" :locked="locked" />
      <PhotosPanel :job="job" :surface="surface" :locked="locked" />
      <LogsPanel :job="job" :surface="surface" :locked="locked" />
    </div>
    <template #side>
      <FindingsList v-if="row" :findings="row.findings" />
      <p v-if="row" class="next">
        <ElButton :tag="RouterLink" :to="{ name: 'window', params: { job, surface } }">{{
          t('survey.sheet.read')
        }}</ElButton>
        <span class="small quiet">{{ t('survey.sheet.readLead', { units: t(`app.units.${reader.units}`) }) }}</span>
      </p>
    </template>
  </SurveyFrame>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 26px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  align-items: start;
}
.next {
  margin-top: 20px;
  display: grid;
  gap: 6px;
  justify-items: start;
}
.sheet :deep(section > h2) {
  margin-bottom: 10px;
}
@media (max-width: 600px) {
  header {
    flex-direction: column;
  }
}
</style>
