export type PressKind = 'roller bed' | 'spring-loaded roller' | 'platen' | 'clamshell' | 'laminator' | 'by hand'
export const pressKinds: readonly PressKind[] = [
  'roller bed',
  'spring-loaded roller',
  'platen',
  'clamshell',
  'laminator',
  'by hand',
]

export interface PressDescription {
  name: string
  kind: PressKind
  /** Divisions marked on one turn of a screw, 0 when it has none. */
  divisions: number
}

export interface PressState extends PressDescription {
  stream: string
  seq: number
}

export function emptyPress(stream: string): PressState {
  return { stream, seq: 0, name: '', kind: 'by hand', divisions: 0 }
}
