import { describe, expect, it } from 'vitest'
import { textureOf } from '@/shared/drawing/textures'
import { i18n } from '.'
import { inPlaceOf, likeOf, ownName } from './ownMaterial'

const { t } = i18n.global
const BOARD = 'own:foam-board:Sedge v1.2 board [40], 50 % & more'

describe('a material of a firm under a name of its own', () => {
  it('is called by that name, whatever signs are in it', () => {
    expect(ownName(BOARD)).toBe('Sedge v1.2 board [40], 50 % & more')
    expect(t(`material.${BOARD}`)).toBe('Sedge v1.2 board [40], 50 % & more')
    expect(t('material.plywood')).toBe('plywood')
  })

  it('is drawn as what it is like', () => {
    expect([likeOf(BOARD), likeOf('osb')]).toEqual(['foam-board', 'osb'])
    expect(textureOf(BOARD)).toBe(textureOf('foam-board'))
  })

  it('is no excuse for a message that is missing', () => {
    expect(inPlaceOf('material.adamant')).toBe('material.adamant')
  })
})
