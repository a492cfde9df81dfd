/** Parts of the id of a material that a firm has under a name of its own: what it is like, and what it is called. */
const OWN = /^own:([^:]+):(.+)$/

/** What a material of a firm's own is called; nothing for those of the catalogue. */
export const ownName = (id: string) => OWN.exec(id)?.[2]

/** The material of the catalogue that one is like; itself for those. */
export const likeOf = (id: string) => OWN.exec(id)?.[1] ?? id

/** In place of a message that the catalogue has not: a material of a firm's own brings its name along. */
export const inPlaceOf = (key: string) => ownName(key.replace(/^material\./, '')) ?? key
