/** The nine stages, in the order of the work. A stage that is not built yet is shown as later and leads nowhere. */
export const stages = [
  { key: 'survey', route: 'survey', built: true },
  { key: 'choose', route: 'choose', built: true },
  { key: 'section', route: 'section', built: true },
  { key: 'sets', route: 'sets', built: true },
  { key: 'window', route: 'window', built: true },
  { key: 'rig', route: 'rig', built: false },
  { key: 'spray', route: 'spray', built: false },
  { key: 'prove', route: 'prove', built: false },
  { key: 'handOver', route: 'handOver', built: false },
] as const

export type StageKey = (typeof stages)[number]['key']
