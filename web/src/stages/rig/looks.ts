import type { FoamLook } from './foamPicture'

/** What is picked of a shot, each with its choices, as good foam has it first. */
export const LOOKS: Record<string, readonly string[]> = {
  rose: ['full', 'low', 'none'],
  skin: ['smooth', 'ripples', 'coarse'],
  cells: ['fine', 'coarse', 'drawn', 'collapsed'],
  colour: ['usual', 'dark', 'pale', 'streaked'],
  feel: ['firm', 'soft', 'brittle', 'glassy', 'sticky'],
  adhesion: ['holds', 'gap', 'peels'],
  layers: ['together', 'part'],
  pooling: ['no', 'yes'],
  shrinks: ['no', 'yes'],
  blowholes: ['no', 'yes'],
  scorch: ['no', 'yes'],
}

/** Foam that is good but for one thing. */
export const lookWith = (field: string, value: string): FoamLook => ({
  [field]: value === 'yes' ? true : value === 'no' ? false : value,
})
