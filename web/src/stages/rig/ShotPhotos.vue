<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useAddPhotos } from '@/shared/photos/addPhotos'
import { useSession } from '@/shared/state/session'
import { usePhotos } from '@/shared/state/survey'
import FileButton from '@/shared/ui/FileButton.vue'

/** Photos of a test shot. They are looked at, not calculated with. */
const props = defineProps<{ job: string; surface: string; shot: string }>()
const { t } = useI18n()
const session = useSession()
const photos = usePhotos(() => props.job)
const mine = computed(() => photos.data.value?.filter((photo) => photo.testShotId === props.shot) ?? [])
const { add, faults, sending } = useAddPhotos(
  () => props.job,
  () => ({ surface: props.surface, shot: props.shot }),
)
</script>

<template>
  <div class="photos">
    <a v-for="photo in mine" :key="photo.id" :href="`/api/photos/${photo.id}/picture`" target="_blank" rel="noopener">
      <img :src="`/api/photos/${photo.id}/thumbnail`" :alt="photo.caption || t('survey.photos.unnamed')" />
    </a>
    <FileButton v-if="session.may('record')" accept="image/*" :disabled="sending > 0" @files="add">{{
      sending ? t('survey.photos.sending', { n: sending }) : t('rig.diagnosis.photo')
    }}</FileButton>
    <p v-for="fault in faults" :key="fault" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin: 8px 0;
}
img {
  height: 96px;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  border-radius: 4px;
  display: block;
}
</style>
