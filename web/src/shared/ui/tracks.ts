/** Room a column needs, and what it takes where there is more, in tenths of the size of letters. */
export type Room = readonly [least: number, share: number]

/**
 * The columns of a long table whose lines are grids of their own (class `tracks`): a line that comes or goes while one scrolls then
 * moves no other, which a browser must find out of a table by laying all of it out again.
 */
export const tracksOf = (rooms: readonly Room[]) => ({
  '--tracks': rooms.map(([least, share]) => `minmax(${least / 10}rem, ${share}fr)`).join(' '),
  '--least': `${rooms.reduce((sum, [least]) => sum + least, 0) / 10}rem`,
})
