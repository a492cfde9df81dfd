import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { countOf, textOf } from '@/shared/depth/depthPad'

/**
 * What an entry of the log says, in words, with its figures as the core prints them.
 * @param read What each entry read.
 */
export function useEntryWords(read: MaybeRefOrGetter<readonly Schemas['EntryFigures'][] | undefined>) {
  const { t } = useI18n()
  const reader = useReader()
  const figures = computed(() => new Map(toValue(read)?.map((one) => [one.id, one])))
  return (entry: Schemas['LogEntryDocument']) => {
    const { depth, read: at, left, other } = figures.value.get(entry.id) ?? {}
    // What was typed in words of its own is read by the server.
    const isUnread =
      (entry.kind === 'drumLevel' && entry.left == null) ||
      ((entry.kind === 'fuelBought' || entry.kind === 'ventilationRead') && !other)
    const said = t(`spray.entry.${isUnread ? `${entry.kind}Unread` : messageOf(entry)}`, {
      depth: depth ? reader.print(depth) : padded(entry.depthMm),
      read: reader.print(at),
      reason: entry.reason ? t(`spray.reason.${entry.reason}`) : '',
      item: entry.item ? t(`spray.item.${entry.item}`) : '',
      words: entry.words ?? '',
      side: entry.side?.toUpperCase() ?? '',
      lot: entry.lot ?? t('spray.noLot'),
      left: reader.print(left),
      cost: reader.print(other),
      block: reader.print(other),
      changes: reader.print(other),
      ...proven(entry.proof),
      count: entry.drumCount ?? '',
    })
    return entry.place ? `${said} (${entry.place})` : said
  }

  // What was said on Prove has its words there.
  function proven(proof: Schemas['LogEntryDocument']['proof']) {
    const word = (book: string, key: string | null | undefined) => (key ? t(`prove.${book}.${key}`) : '')
    return {
      number: proof?.spotNumber ?? '',
      sample: word('sampleKind', proof?.sample),
      inspected: word('item', proof?.inspected),
      accounted: word('clearance', proof?.accounted),
      name: proof?.signedName ?? '',
      role: proof?.signedRole ?? '',
      repair: word('repairWay', proof?.repairWay),
      defect: word('defect', proof?.defectKind),
      sound: proof ? t(`prove.defects.${proof.foundSound ? 'sound' : 'unsound'}`) : '',
    }
  }

  // What was tapped a moment ago is on the grid of the pad.
  function padded(mm: number | null | undefined) {
    return mm == null ? '' : textOf(countOf(mm, reader.units), reader.units)
  }
}

/** A message names more where more was said. */
function messageOf({ kind, proof, words }: Schemas['LogEntryDocument']) {
  if (kind === 'depth' && proof?.spotNumber) return 'depthAt'
  if (kind === 'defect' && proof?.defectKind) return words ? 'defectOf' : 'defectAlone'
  return kind
}
