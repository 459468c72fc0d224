/** How pressure is made. */
export type PressKind =
  | 'roller bed'
  | 'spring-loaded roller'
  | 'platen'
  | 'rimmed board'
  | 'type-high bed'
  | 'clamshell'
  | 'laminator'
  | 'by hand'

export const pressKinds: readonly PressKind[] = [
  'roller bed',
  'spring-loaded roller',
  'platen',
  'rimmed board',
  'type-high bed',
  'clamshell',
  'laminator',
  'by hand',
]

/** What each kind is in the room's words, and what is set on it. */
export const pressWays: Record<PressKind, { words: string; sets: 'screws' | 'packing' | 'underlay' | 'hand' }> = {
  'roller bed': { words: 'roller bed with two screws', sets: 'screws' },
  'spring-loaded roller': { words: 'roller under a spring', sets: 'packing' },
  platen: { words: 'platen with a lever and cards', sets: 'packing' },
  'rimmed board': { words: 'board with a rim around the block', sets: 'underlay' },
  'type-high bed': { words: 'bed at type height', sets: 'underlay' },
  clamshell: { words: 'clamshell', sets: 'packing' },
  laminator: { words: 'cold-roll laminator, cranked by hand', sets: 'packing' },
  'by hand': { words: 'spoon, spatula, baren or a hard roller', sets: 'hand' },
}

/** Rollers press along a line: whatever stands above its neighbour takes the whole load. */
export const hasRoller = (kind: PressKind): boolean =>
  kind === 'roller bed' || kind === 'spring-loaded roller' || kind === 'laminator'
