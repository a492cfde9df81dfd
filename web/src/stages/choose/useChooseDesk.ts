import { computed, reactive } from 'vue'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import { choiceText } from '@/shared/keeping/records/surface'
import { useEdits } from '@/shared/state/edits'
import { useJobFields, useSurfaceFields } from '@/shared/state/fields'
import { useChoose } from '@/shared/state/job'

export type Candidate = Schemas['CandidateAnswer']
type Fields = Record<string, string>

/** The choice being made: what is asked of the core, what is kept with the surface and the job, and what was refused. */
export function useChooseDesk(job: () => string, surface: () => string) {
  const edits = useEdits()
  const choice = useChoose(surface)
  const ofSurface = useSurfaceFields(job, surface)
  const ofJob = useJobFields(job)

  const facts = (fields: Fields) =>
    Object.fromEntries(Object.entries(fields).map(([field, text]) => [`facts.${field}`, text]))
  const isOfChoice = (field: string) => field.startsWith('choice.') || field.startsWith('facts.')
  // A choice that was refused is not made; why is told until another is.
  const told = reactive<Record<string, string>>({})
  const fault = computed(
    () => told[surface()] || ofSurface.notice.value || Object.values(ofJob.faults.value)[0] || ofJob.notice.value,
  )
  const place = (): Place => ({ kind: 'surface', id: surface(), within: job() })

  async function choose(text: string) {
    const at = place()
    told[at.id] = ''
    if ((await edits.keep(at, { 'choice.system': text })) !== 'refused') return
    told[at.id] = edits.faultAt(at, 'choice.system')
    edits.forget(at, 'choice.system')
  }

  return {
    choice,
    fault,
    busy: computed(() => ofSurface.busy.value || ofJob.busy.value),
    answer: computed(() => choice.data.value?.answer ?? null),
    /** What a control of the job or of the surface was set to and is not kept yet. */
    asked: (of: 'job' | 'surface', field: string) =>
      of === 'job' ? ofJob.drafts.value[field] : ofSurface.drafts.value[`facts.${field}`],
    /** Where someone else made another choice, or said otherwise, meanwhile. */
    meetings: computed(() => [
      ...ofSurface.meetings.value.filter((one) => isOfChoice(one.field)).map((one) => ({ ...one, of: ofSurface })),
      ...ofJob.meetings.value.map((one) => ({ ...one, of: ofJob })),
    ]),
    pick: ({ id }: Candidate, reason = '') => choose(choiceText(id, reason)),
    takeBack: () => choose(choiceText('')),
    sayFact: (fields: Fields) => ofSurface.put(facts(fields)),
    /** What is typed of the surface, where it is more than a tick. */
    typed: ofSurface,
    sayOfJob: (fields: Fields) => ofJob.put(fields),
  }
}
