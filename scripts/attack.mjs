import { load } from './load.mjs'

/** The hostile requests of the tests, for the long runs. */
export const { dice, hostile, send } = await load('tests/fixtures/hostile.ts')
