import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js'
import schema from '../../public/schemas/studio-file.schema.json'
import type { StudioLine } from './lines'

const kinds = ['head', 'person', 'event', 'command', 'picture', 'end'] as const
let compiled: Map<string, ValidateFunction<StudioLine>> | null = null

/** Compiled when the first file comes in: a start of the server need not wait for it. */
function checks(): Map<string, ValidateFunction<StudioLine>> {
  if (compiled) return compiled
  const ajv = new Ajv2020({ strict: true, allowUnionTypes: true })
  ajv.addSchema(schema)
  compiled = new Map(kinds.map((kind) => [kind, ajv.compile<StudioLine>({ $ref: `${schema.$id}#/$defs/${kind}` })]))
  return compiled
}

/** What is wrong, in words: “position: must be >= 1”. */
function words({ errors }: ValidateFunction): string {
  const [error] = errors ?? []
  const at = error?.instancePath.slice(1).replaceAll('/', '.') ?? ''
  return `${at === '' ? '' : `${at} `}${error?.message ?? 'does not fit'}`
}

/** A line of a studio file by the schema that is shipped, or what is wrong with it. */
export function checkLine(text: string): { line: StudioLine } | { fault: string } {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return { fault: 'is no JSON.' }
  }
  const kind = typeof value === 'object' && value !== null ? (value as { line?: unknown }).line : undefined
  const check = checks().get(String(kind))
  if (!check) return { fault: 'is no line of a studio file.' }
  return check(value) ? { line: value } : { fault: `(${String(kind)}): ${words(check)}.` }
}
