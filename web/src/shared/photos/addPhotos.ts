import { ref, toValue, type MaybeRefOrGetter } from 'vue'
import type { Schemas } from '../api/client'
import { uploadOnce } from '../api/once'
import { useProblems } from '../figures/problems'
import { nowMs } from '../state/clock'
import { useSurveyEdits } from '../state/survey'
import { photoToSend } from './phonePhoto'

const MOST_MEGABYTES = 20

/**
 * Adds photos to a job, one after the other. Where they were taken is removed before they are kept.
 * @param about What they show: a surface, a test shot.
 */
export function useAddPhotos(job: () => string, about: MaybeRefOrGetter<Record<string, string>>) {
  const edits = useSurveyEdits(job)
  const { general } = useProblems()
  const faults = ref<string[]>([])
  const sending = ref(0)

  async function add(files: File[]) {
    faults.value = []
    sending.value = files.length
    for (const file of files) {
      try {
        const query = new URLSearchParams({
          ...toValue(about),
          caption: file.name.replace(/\.\w+$/, ''),
          at: new Date(nowMs()).toISOString(),
        })
        const photo = await photoToSend(file)
        const sent = uploadOnce<Schemas['PhotoAnswer'][]>(`/api/jobs/${job()}/photos?${query}`, photo, MOST_MEGABYTES)
        await edits.did('photos', sent)
      } catch (cause) {
        faults.value.push(`${file.name}: ${general(cause)}`)
      }
      sending.value--
    }
  }

  return { add, faults, sending }
}
