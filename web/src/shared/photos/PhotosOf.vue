<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../state/session'
import { usePhotos } from '../state/survey'
import FileButton from '../ui/FileButton.vue'
import { useAddPhotos } from './addPhotos'

/** Photos of a test shot, of an entry of the log, or of a surface itself. They are looked at, not calculated with. */
const props = defineProps<{
  job: string
  about: { surface: string; shot: string } | { surface: string; entry: string } | { surface: string }
  /** What the button says. */
  word: string
  small?: boolean
}>()
const { t } = useI18n()
const session = useSession()
const photos = usePhotos(() => props.job)
const mine = computed(() => {
  const { about } = props
  return (photos.data.value ?? []).filter((photo) =>
    'shot' in about
      ? photo.testShotId === about.shot
      : 'entry' in about
        ? photo.logEntryId === about.entry
        : photo.surfaceId === about.surface && !photo.testShotId && !photo.logEntryId,
  )
})
const { add, faults, sending } = useAddPhotos(
  () => props.job,
  () => props.about,
)
</script>

<template>
  <span class="photos" :class="{ small }">
    <a v-for="photo in mine" :key="photo.id" :href="`/api/photos/${photo.id}/picture`" target="_blank" rel="noopener">
      <img :src="`/api/photos/${photo.id}/thumbnail`" :alt="photo.caption || t('survey.photos.unnamed')" />
    </a>
    <FileButton v-if="session.may('record')" accept="image/*" :link="small" :disabled="sending > 0" @files="add">{{
      sending ? t('survey.photos.sending', { n: sending }) : word
    }}</FileButton>
    <span v-for="fault in faults" :key="fault" class="fault" role="alert">{{ fault }}</span>
  </span>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin: 8px 0;
}
.photos.small {
  margin: 0;
}
img {
  height: 96px;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  border-radius: 4px;
  display: block;
}
.small :deep(.el-button) {
  font-size: inherit;
}
.small img {
  height: 56px;
}
</style>
