<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useAddPhotos } from '@/shared/photos/addPhotos'
import { useEdits } from '@/shared/state/edits'
import { usePhotos, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import FileButton from '@/shared/ui/FileButton.vue'
import { useSession } from '@/shared/state/session'
import TakenOff from '@/shared/ui/TakenOff.vue'
import TypeOnce from '@/shared/typing/TypeOnce.vue'

/** Photos of the surface. Where they were taken is removed before they are kept. */
const props = defineProps<{ job: string; surface: string; locked: boolean }>()
type Photo = Schemas['PhotoAnswer']
const { t } = useI18n()
const session = useSession()
const photos = usePhotos(() => props.job)
const edits = useSurveyEdits(() => props.job)
const set = useEdits()

const { add, faults, sending } = useAddPhotos(
  () => props.job,
  () => ({ surface: props.surface }),
)

const placeOf = ({ id }: Photo) => ({ kind: 'photo', id, within: props.job })
const captionOf = (photo: Photo) => set.textOf(placeOf(photo), 'caption', photo.caption)
const caption = (photo: Photo, text: string) => text !== photo.caption && set.keep(placeOf(photo), { caption: text })

const off = useTakeOff(async (id) => {
  await edits.then(ask(api.DELETE('/api/photos/{id}', { params: { path: { id } } })))
  await photos.refetch()
})
const mine = computed(
  () => photos.data.value?.filter((photo) => photo.surfaceId === props.surface && !off.gone(photo.id)) ?? [],
)
</script>

<template>
  <section>
    <h2>{{ t('survey.photos.title') }}</h2>
    <ul v-if="mine.length">
      <li v-for="photo in mine" :key="photo.id">
        <a :href="`/api/photos/${photo.id}/picture`" target="_blank" rel="noopener">
          <img
            :src="`/api/photos/${photo.id}/thumbnail`"
            :alt="photo.caption || t('survey.photos.unnamed')"
            loading="lazy"
          />
        </a>
        <TypeOnce
          :text="captionOf(photo)"
          :disabled="locked"
          maxlength="200"
          :aria-label="t('survey.photos.caption')"
          @change="caption(photo, $event)"
        />
        <ElButton
          v-if="!locked"
          link
          type="primary"
          class="no-print"
          @click="off.takeOff(photo.id, photo.caption || t('survey.photos.unnamed'))"
        >
          {{ t('survey.photos.remove') }}
        </ElButton>
      </li>
    </ul>
    <p v-else class="quiet">{{ t('survey.photos.none') }}</p>
    <TakenOff :off="off" />
    <FileButton
      v-if="session.may('record')"
      class="no-print"
      accept="image/*"
      multiple
      :disabled="sending > 0"
      @files="add"
      >{{ sending ? t('survey.photos.sending', { n: sending }) : t('survey.photos.add') }}</FileButton
    >
    <p v-for="fault in faults" :key="fault" class="fault" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 14px;
}
li {
  display: grid;
  gap: 4px;
  justify-items: start;
}
img {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  border-radius: 4px;
  display: block;
}
li a {
  width: 100%;
}
</style>
