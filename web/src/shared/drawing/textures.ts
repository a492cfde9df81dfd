/** Which texture stands for which material. */
const byMaterial: Record<string, string> = {
  open: 'open',
  closed: 'closed',
  softwood: 'wood',
  'wood-siding': 'wood',
  'floor-boards': 'wood',
  'cedar-shingle': 'wood',
  'board-sheathing': 'wood',
  plywood: 'panel',
  osb: 'panel',
  'steel-skin': 'metal',
  'door-skin': 'metal',
  brick: 'brick',
  'rubble-stone': 'stone',
  slate: 'stone',
  concrete: 'concrete',
  'lime-plaster': 'board',
  'gypsum-board': 'board',
  'clay-tile': 'tile',
  'asphalt-shingle': 'felt',
  'built-up-felt': 'felt',
  underlay: 'felt',
  'sheet-flooring': 'felt',
  'stone-base': 'soil',
  soil: 'soil',
}

export const textureOf = (key: string) => `url(#tex-${byMaterial[key] ?? 'air'})`
