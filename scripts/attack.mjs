import { join } from 'node:path'
import { createJiti } from 'jiti'
import { root } from './ready.mjs'

/** The hostile requests of the tests, for the long runs. */
const jiti = createJiti(import.meta.url)
export const { dice, hostile, send } = await jiti.import(join(root, 'tests/fixtures/hostile.ts'))
