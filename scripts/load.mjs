import { createRequire } from 'node:module'
import { join } from 'node:path'
import { createJiti } from 'jiti'
import { root } from './ready.mjs'

const options = { alias: { '#core': join(root, 'core'), '#shared': join(root, 'shared') } }
const usual = createJiti(import.meta.url, options)
const hasDecorators = /^\s*@[A-Z]\w*\(/m
let typescript

/** The compiler that knows the kind of decorators we use; what jiti brings refuses fields that are assigned later. */
function undecorated(source) {
  typescript ??= createRequire(import.meta.url)('typescript')
  const { ModuleKind, ScriptTarget } = typescript
  const compilerOptions = { target: ScriptTarget.ES2022, module: ModuleKind.ESNext, experimentalDecorators: true }
  return typescript.transpileModule(source, { compilerOptions }).outputText
}

const jiti = createJiti(import.meta.url, {
  ...options,
  transform: (given) => ({
    code: usual.transform(hasDecorators.test(given.source) ? { ...given, source: undecorated(given.source) } : given),
  }),
})

/** A module of ours in TypeScript, for a script. @param path from the project's root */
export const load = (path) => jiti.import(join(root, path))
