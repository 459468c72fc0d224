import { describe, expect, it } from 'vitest'
import { plan } from '../../tests/fixtures/plan'
import { samples } from '../../tests/fixtures/requests'
import { check } from '../check'
import { CommandRequest } from './envelope'
import { AddPerson, SetUpStudio } from './people'
import { requestOf } from './requests'

describe('what is refused says where and what', () => {
  const refusal = (shape: new () => object, given: unknown) =>
    (check(shape, given) as { refusal: { field?: string; message: string } }).refusal

  it('names a field deep inside', () => {
    expect(
      refusal(requestOf.get('start-edition')!, {
        title: 'T',
        plan: { ...plan, proofs: { AP: -1, PP: 0, HC: 0 } },
      }),
    ).toMatchObject({ field: 'plan.proofs.AP', message: expect.stringContaining('-1 was given') })
    expect(refusal(requestOf.get('mix-batch')!, { ...samples['mix-batch'], colour: 'blue' }).message).toContain(
      '"blue" was given. Nothing was changed.',
    )
  })

  it('takes no list, text or nothing for an object', () => {
    for (const given of [[], 'text', null, undefined, 4])
      expect(refusal(requestOf.get('count-lot')!, given).message).toContain('An object was expected')
  })

  it('asks PINs and names for a length', () => {
    expect(refusal(AddPerson, { name: 'Ibb', role: 'student', secret: '12' })).toMatchObject({
      field: 'secret',
      message: 'The PIN or passphrase is a text of 4 to 200 characters. Nothing was changed.',
    })
    expect(refusal(AddPerson, { name: 'Ibb', role: 'owner', secret: '1234' })).toMatchObject({ field: 'role' })
    expect(
      refusal(SetUpStudio, {
        token: 'x',
        studio: '',
        name: 'Ansa',
        secret: 'net loft',
        line: 'number-signature',
        currency: '€',
      }),
    ).toMatchObject({
      field: 'studio',
      message: 'The name of the pressroom is a text of 1 to 80 characters; "" was given. Nothing was changed.',
    })
  })

  it('takes an envelope only with an id of version 7 and a stream it knows', () => {
    const envelope = {
      commandId: '01a208e6-a59b-708a-bb35-6dffa470d8ee',
      device: 'd',
      by: 'p',
      occurredAt: '2026-11-02T09:30:00.000Z',
      type: 'pull',
      stream: 'edition:e1',
      data: {},
    }
    expect(check(CommandRequest, envelope)).toHaveProperty('value')
    expect(refusal(CommandRequest, { ...envelope, commandId: 'f81d4fae-7dec-41d0-a765-00a0c91e6bf6' })).toMatchObject({
      field: 'commandId',
    })
    expect(refusal(CommandRequest, { ...envelope, stream: 'people:1' })).toMatchObject({ field: 'stream' })
    expect(refusal(CommandRequest, { ...envelope, occurredAt: 'yesterday' })).toMatchObject({ field: 'occurredAt' })
    expect(refusal(CommandRequest, { ...envelope, expectedSeq: -1 })).toMatchObject({ field: 'expectedSeq' })
  })
})
