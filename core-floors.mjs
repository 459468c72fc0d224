/**
 * The floors of core, from the ground up: a room imports from floors below its own, never from its neighbours. The linter
 * keeps it, and docs/house.md shows it.
 */
export const floors = [
  ['time', 'units', 'drawing', 'timetable'],
  ['ground'],
  ['print'],
  ['paper', 'block', 'ink', 'register', 'cost', 'press', 'finish'],
  ['drying'],
  ['plan'],
  ['finder', 'care'],
  ['stores'],
  ['edition'],
  ['run', 'station', 'course', 'account'],
  ['watch', 'calendar'],
  ['schedule'],
  ['charges', 'office'],
  ['house'],
]
