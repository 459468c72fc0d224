import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'

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

export interface PressEvents {
  'press-added': PressDescription
}
export interface PressCommands {
  'add-press': PressDescription
}

export interface PressState extends PressDescription {
  stream: string
  seq: number
}

export function emptyPress(stream: string): PressState {
  return { stream, seq: 0, name: '', kind: 'by hand', divisions: 0 }
}

/** Total: an unknown event only moves the sequence. */
export function evolvePress(state: PressState, event: Happening): PressState {
  const next = { ...state, seq: event.seq }
  return event.type === 'press-added' ? { ...next, ...(event.data as PressDescription) } : next
}

export function decidePress(state: PressState, command: { type: string; data: unknown }, _context: Context): Decision {
  const data = command.data as PressDescription
  if (state.name !== '') return refuse('already-there', 'This press stands in the room already.')
  if (data.name.trim() === '') return refuse('name-missing', 'Give the press the name people call it by.', 'name')
  const added: NewEvent<'press-added', PressDescription> = {
    stream: state.stream,
    type: 'press-added',
    version: 1,
    data,
  }
  return { events: [added] }
}
