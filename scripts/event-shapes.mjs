import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { format, resolveConfig } from 'prettier'
import { root } from './ready.mjs'

/**
 * What the data of each event is shaped like, read off the type its evolver takes, and written to a file that a running
 * server can hold a stranger's event against. With `--check` nothing is written: it fails when the file is not today's.
 */
const file = join(root, 'core/house/event-shapes.json')
const registry = join(root, 'core/house/acts.ts')

const { config } = ts.readConfigFile(join(root, '.nuxt/tsconfig.shared.json'), ts.sys.readFile)
const { options } = ts.convertCompilerOptionsFromJson(config.compilerOptions, join(root, '.nuxt'))
const program = ts.createProgram([registry], { ...options, noEmit: true, composite: false, incremental: false })
const checker = program.getTypeChecker()
const source = program.getSourceFile(registry)

/** The type of a value this module exports. */
function exported(name) {
  const symbol = checker.getExportsOfModule(checker.getSymbolAtLocation(source)).find((known) => known.name === name)
  return checker.getTypeOfSymbol(symbol)
}

const memberOf = (type, name) => checker.getTypeOfSymbol(checker.getPropertyOfType(type, name))

const byWord = ([a], [b]) => (a < b ? -1 : 1)

const basics = [
  [ts.TypeFlags.StringLike, 'string'],
  [ts.TypeFlags.NumberLike, 'number'],
  [ts.TypeFlags.BooleanLike, 'boolean'],
  [ts.TypeFlags.Null, 'null'],
]

/** Types that hold themselves, by name; and those under way. */
const named = {}
const under = new Map()

function shapeOf(type, path) {
  if (!(type.flags & ts.TypeFlags.Object) || checker.isArrayType(type)) return plainShapeOf(type, path)
  const name = (type.aliasSymbol ?? type.symbol).name
  if (under.has(type)) {
    under.set(type, true)
    return { named: name }
  }
  under.set(type, false)
  const shape = plainShapeOf(type, path)
  const holdsItself = under.get(type)
  under.delete(type)
  if (!holdsItself) return shape
  named[name] = shape
  return { named: name }
}

function plainShapeOf(type, path) {
  if (type.flags & ts.TypeFlags.Unknown) return 'unknown'
  if (type.isUnion()) return either(type.types, path)
  if (type.isStringLiteral() || type.isNumberLiteral()) return { literals: [type.value] }
  const basic = basics.find(([flag]) => type.flags & flag)
  if (basic) return basic[1]
  if (checker.isTupleType(type)) return { tuple: checker.getTypeArguments(type).map((inner) => shapeOf(inner, path)) }
  if (checker.isArrayType(type)) return { array: shapeOf(checker.getTypeArguments(type)[0], `${path}[]`) }
  if (!(type.flags & (ts.TypeFlags.Object | ts.TypeFlags.Intersection)))
    throw new Error(`${path} is a ${checker.typeToString(type)}: say it more plainly, or teach this script.`)
  const index = type.getStringIndexType()
  if (index) return { record: shapeOf(index, `${path}{}`) }
  const keys = type.getProperties().map((property) => {
    const isOptional = (property.flags & ts.SymbolFlags.Optional) !== 0
    const inner = checker.getTypeOfSymbol(property)
    const known = isOptional ? checker.getNonNullableType(inner) : inner
    const mayBeNull = isOptional && inner.isUnion() && inner.types.some(({ flags }) => flags & ts.TypeFlags.Null)
    const shape = shapeOf(known, `${path}.${property.name}`)
    return [property.name + (isOptional ? '?' : ''), mayBeNull ? orNull(shape) : shape]
  })
  return { object: Object.fromEntries(keys.sort(byWord)) }
}

const orNull = (shape) => ({ either: [...(shape.either ?? [shape]), 'null'] })

/** One of several: literals stand together, and the two booleans are one. */
function either(types, path) {
  const shapes = types.filter(({ flags }) => !(flags & ts.TypeFlags.Undefined)).map((inner) => shapeOf(inner, path))
  const literals = shapes.flatMap((shape) => shape.literals ?? [])
  const others = shapes.filter((shape) => !shape.literals)
  // The compiler's own order of a union is not one to keep.
  const distinct = [...new Map(others.map((shape) => [JSON.stringify(shape), shape]))]
    .sort(byWord)
    .map(([, shape]) => shape)
  if (literals.length > 0) distinct.unshift({ literals: literals.sort() })
  return distinct.length === 1 ? distinct[0] : { either: distinct }
}

const shapes = {}
for (const act of checker.getTypeArguments(exported('acts')))
  for (const event of checker.getTypeArguments(memberOf(act, 'events'))) {
    const [evolve] = memberOf(event, 'evolve').getCallSignatures()
    const name = memberOf(event, 'type').value
    shapes[name] ??= shapeOf(checker.getTypeOfSymbol(evolve.parameters[1]), name)
  }

const sorted = (of) => Object.fromEntries(Object.entries(of).sort(byWord))
const text = await format(JSON.stringify({ named: sorted(named), events: sorted(shapes) }), {
  ...(await resolveConfig(file)),
  parser: 'json',
})
const before = readFileSync(file, { encoding: 'utf8', flag: 'a+' })
if (!process.argv.includes('--check')) writeFileSync(file, text)
else if (before !== text) {
  console.error('core/house/event-shapes.json is not of today’s events: npm run event-shapes writes it.')
  process.exit(1)
}
