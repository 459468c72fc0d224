import { expect, it } from 'vitest'
import { PressTable } from '../../../tests/fixtures/press-table'
import { samples } from '../../../tests/fixtures/requests'
import type { CommandData, CommandType } from '../../house/acts'
import type { StudioState } from './state'

it('a studio has one cleaner to an ink family, and its own rule beside a care card until it takes it back', () => {
  const table = new PressTable()
  const give = <T extends CommandType>(type: T, data: CommandData<T>) =>
    table.submit({ type, stream: 'studio', data }).refusal?.code
  const studio = () => table.states.get('studio') as StudioState
  expect(give('set-cleaner', { family: 'oil', name: '', minutes: null, isSolvent: false })).toBe('name-missing')
  give('set-cleaner', samples['set-cleaner'])
  give('set-cleaner', { family: 'oil', name: 'soap', minutes: null, isSolvent: false })
  expect(studio().cleaners).toEqual([{ family: 'oil', name: 'soap', minutes: null, isSolvent: false }])
  give('set-care-rule', samples['set-care-rule'])
  give('set-care-rule', { key: 'rags', rule: 'The can is emptied at closing.' })
  expect(studio().careRules).toEqual([{ key: 'rags', rule: 'The can is emptied at closing.' }])
  give('set-care-rule', { key: 'rags', rule: ' ' })
  expect(studio().careRules).toEqual([])
})
