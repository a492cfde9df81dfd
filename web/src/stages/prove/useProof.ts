import { useQuery } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useSession } from '@/shared/state/session'
import { useWaiting } from '@/shared/state/waiting'

const KIND = 'proofEntry'

/** What was read, seen and found on a surface, and a way to say more of it. */
export function useProof(job: MaybeRefOrGetter<string>, surface: MaybeRefOrGetter<string>) {
  const edits = useEdits()
  const session = useSession()
  const told = useQuery({
    queryKey: ['surface', surface, 'proof'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/proof', { params: { path: { id: toValue(surface) } } })),
    enabled: computed(() => toValue(surface) !== ''),
    placeholderData: (before, query) => (query?.queryKey[1] === toValue(surface) ? before : undefined),
    // Others are at the same surface.
    refetchInterval: 15_000,
  })

  const { waiting, faults, letGo } = useWaiting(KIND, (of) => of === toValue(surface))

  /** Where an entry of its own is kept. */
  const place = () => ({ kind: KIND, id: `${toValue(surface)}/${v7()}`, within: toValue(job) })

  return {
    told,
    answer: computed(() => told.data.value?.answer ?? undefined),
    locked: computed(() => !session.may('record')),
    place,
    /** What was tapped of a kind and has not been sent yet, by what one of its fields says. */
    waitsFor: (kind: string, field: string, text: string) =>
      waiting.value.find(({ fields }) => fields.kind?.text === kind && fields[field]?.text === text)?.fields,
    faults,
    letGo,
    /** Says something that is tapped, not typed. */
    say: (fields: Record<string, string>) => {
      const at = place()
      return edits.keepApart(at, { entry: entryOf(at.id), ...fields })
    },
  }
}

/** The entry a place is of. */
export const entryOf = (id: string) => id.split('/')[1]!
