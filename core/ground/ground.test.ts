import { Length } from 'class-validator'
import { describe, expect, it } from 'vitest'
import { begunOnce, defineAct, defineEvent, defineStream } from './act'
import { appended, changed, folding, replacedAt, replacedWhere } from './fold'
import { reasonMissing, refuse, refuseFault } from './refusal'
import { anyone, managers, printers, staff } from './who'
import { type Context, roles } from './envelope'

interface Rack {
  stream: string
  seq: number
  slots: string[]
}
const empty = (stream: string): Rack => ({ stream, seq: 0, slots: [] })

describe('a fold', () => {
  it('outside one, leaves what it was given as it was', () => {
    const rack = empty('rack:1')
    const next = changed(rack, { slots: appended(rack.slots, 'a') })
    expect([rack, next]).toEqual([empty('rack:1'), { ...empty('rack:1'), slots: ['a'] }])
    expect(replacedAt(next.slots, 0, 'b')).toEqual(['b'])
    expect(next.slots).toEqual(['a'])
  })

  it('within one, changes in place only what it made itself', () => {
    const rack = { ...empty('rack:1'), slots: ['given'] }
    const [first, second] = folding(() => {
      const once = changed(rack, { slots: appended(rack.slots, 'a') })
      const twice = changed(once, { slots: appended(once.slots, 'b') })
      return [once, twice]
    })
    expect(rack.slots).toEqual(['given'])
    expect(second).toBe(first)
    expect(second!.slots).toEqual(['given', 'a', 'b'])
    // Once it is over, what it made is as frozen as anything.
    expect(changed(second!, { seq: 9 })).not.toBe(second)
  })

  it('ends even when it is broken off', () => {
    expect(() =>
      folding(() => {
        throw new Error('broken off')
      }),
    ).toThrow('broken off')
    const rack = empty('rack:1')
    expect(changed(rack, { seq: 1 })).not.toBe(rack)
  })

  it('leaves a list alone where it has no such place', () => {
    const list = ['a', 'b']
    expect(replacedAt(list, 2, 'c')).toBe(list)
    expect(replacedAt(list, -1, 'c')).toBe(list)
    expect(
      replacedWhere(
        list,
        (one) => one === 'b',
        (one) => one + one,
      ),
    ).toEqual(['a', 'bb'])
  })
})

class Hung {
  static readonly sample: Hung = { slot: 'a' }

  @Length(1, 9) slot!: string
}

describe('a stream, its events and acts', () => {
  const rack = defineStream('rack', empty, {
    gate: begunOnce((state) => state.slots.length > 0, 'This rack stands already.', {
      code: 'unknown-rack',
      message: 'That rack is not here.',
    }),
  })
  const hung = defineEvent(
    rack,
    'hung',
    (state, { slot }: { slot: string }) => changed(state, { slots: appended(state.slots, slot) }),
    [(data) => ({ slot: data.place }), (data) => ({ ...data, slot: String(data.slot) })],
  )
  const hang = defineAct(rack, 'hang', Hung, printers, {
    begins: true,
    events: [hung],
    rule: ({ rack }, data) => [hung.on(rack, data)],
  })

  it('an event is written with one version more than it has upcasts, on the stream it happens to', () => {
    expect(hung.on(empty('rack:7'), { slot: 'a' })).toEqual({
      stream: 'rack:7',
      type: 'hung',
      version: 3,
      data: { slot: 'a' },
    })
  })

  it('a stream is named with its id, or without one when there is only one', () => {
    expect([rack.of('7').name, rack.of().name]).toEqual(['rack:7', 'rack'])
  })

  it('every event moves the sequence, and nothing else unless it is said', () => {
    const event = { stream: 'rack:1', seq: 4, type: 'hung', version: 3, actor: 'p', occurredAt: '', data: {} }
    expect(rack.stamp(empty('rack:1'), event, empty('rack:1'))).toEqual({ ...empty('rack:1'), seq: 4 })
  })

  it('what is begun once is not begun again, and nothing is done to what is not there', () => {
    const standing = { ...empty('rack:1'), slots: ['a'] }
    const later = { ...hang, begins: false }
    expect(rack.gate(empty('rack:1'), hang)).toBeNull()
    expect(rack.gate(standing, hang)).toEqual(refuse('already-there', 'This rack stands already.'))
    expect(rack.gate(empty('rack:1'), later)).toEqual(refuse('unknown-rack', 'That rack is not here.'))
    expect(rack.gate(standing, later)).toBeNull()
  })

  it('an act is neither guarded nor late, and sees only its own stream, unless it says so', () => {
    expect(hang).toMatchObject({ type: 'hang', guarded: false, late: false, begins: true })
    expect(hang.needs({ slot: 'a' }, 'rack:1')).toEqual({})
  })
})

describe('who', () => {
  it.each([
    ['anyone', anyone, ['manager', 'instructor', 'member', 'student']],
    ['printers', printers, ['manager', 'instructor', 'member']],
    ['staff', staff, ['manager', 'instructor']],
    ['managers', managers, ['manager']],
  ] as const)('%s', (_name, who, allowed) => {
    const asking = (role: Context['role']): Context => ({
      personId: 'p',
      role,
      commandId: 'c',
      occurredAt: '',
      zone: 'UTC',
    })
    expect(roles.filter((role) => who(asking(role), {}, {}))).toEqual(allowed)
  })
})

describe('a refusal', () => {
  it('names a field only when it is about one', () => {
    expect(refuse('closed', 'Closed.')).toEqual({ refusal: { code: 'closed', message: 'Closed.' } })
    expect(reasonMissing('Say why.')).toEqual({
      refusal: { code: 'reason-missing', message: 'Say why.', field: 'reason' },
    })
    expect(refuseFault('unfit', { field: 'name', message: 'A name.' })).toEqual(refuse('unfit', 'A name.', 'name'))
  })
})
