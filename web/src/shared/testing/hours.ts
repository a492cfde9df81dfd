import type { Hour, Hours } from '../hours/useHours'
import { figure } from './shown'

const START = Date.parse('2026-11-23T12:00:00Z')
/** An hour of a surface, held by the dew point. */
export const hour = (i: number, rest: Partial<Hour> = {}): Hour => ({
  start: new Date(START + i * 3_600_000).toISOString(),
  verdict: 'hold',
  passing: 2,
  limit: 'dew',
  limitShortfall: 0.8,
  depth: 0.8,
  shortfall: [0.6, 0.8, 1],
  light: true,
  worked: true,
  substrateC: [0, 1, 2],
  dewC: [0, 0.5, 1],
  figures: {
    substrate: figure(1, '34 °F', '1 °C'),
    dew: figure(0.5, '33 °F', '0.5 °C'),
    apart: figure(0.5, '1 °F', '0.5 K'),
    air: figure(2, '36 °F', '2 °C'),
    humidity: figure(80, '80 %'),
  },
  ...rest,
})
/** Hours of every kind. */
export const hours: Hours = {
  lack: null,
  source: { kind: 'forecast', name: 'Made up', credit: 'Made up', issuedAt: hour(0).start, members: 21 },
  troubles: [],
  correction: null,
  roomReadAt: null,
  substrateReadAt: null,
  hours: [
    hour(0),
    hour(1, { verdict: 'care', limitShortfall: 0.25, depth: 0.4, shortfall: [0, 0.25, 0.5] }),
    hour(2, { verdict: 'hold', limitShortfall: 0.25, depth: 0.7, passing: 15, shortfall: [0, 0.25, 1] }),
    hour(3, { verdict: 'clear', limit: null, limitShortfall: 0, depth: 0, shortfall: [0, 0, 0] }),
    hour(4, { verdict: null, limit: 'unknown', limitShortfall: 1, depth: 1, shortfall: [], figures: {} }),
  ],
  days: [
    {
      start: '2026-11-23T05:00:00Z',
      sunrise: '2026-11-23T12:12:00Z',
      sunset: '2026-11-23T21:31:00Z',
      isUpAtStart: false,
    },
  ],
  windows: [],
  drums: null,
  after: null,
  spraying: null,
  cure: null,
  whole: null,
  inParts: false,
  assumed: [],
  limits: {
    sheet: 'Marl CC-20',
    substrateLeast: figure(4, '39 °F'),
    substrateGreatest: figure(49, '120 °F'),
    airLeast: figure(2, '36 °F'),
    airGreatest: figure(49, '120 °F'),
    dewApart: figure(3, '5.4 °F'),
    dewClear: figure(5, '9 °F'),
    humidity: figure(80, '80 %'),
    wind: figure(5, '11 mph'),
  },
}
