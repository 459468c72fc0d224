import {
  getFromContainer,
  getMetadataStorage,
  useContainer,
  type ValidatorConstraintInterface,
  ValidationTypes,
} from 'class-validator'

type Shape = new () => object
type Rule = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>[number]

const storage = getMetadataStorage()
const readRules = storage.getTargetValidationMetadatas.bind(storage)
const rules = new WeakMap<object, Rule[]>()

// At every check of every object the library goes through all classes there are, and for every rule of every field through
// all kinds of rules. What it finds never changes, and nobody here asks for groups.
storage.getTargetValidationMetadatas = (target, ...given) => {
  const found = rules.get(target) ?? readRules(target, ...given)
  rules.set(target, found)
  return found
}
const instances = new Map<unknown, unknown>()
useContainer({
  get<Kind>(kind: (new () => Kind) | { type: new () => Kind }): Kind {
    const known = instances.get(kind) ?? new (kind as new () => Kind)()
    instances.set(kind, known)
    return known as Kind
  },
})

const rulesOf = (shape: Shape) => storage.getTargetValidationMetadatas(shape, '', false, false)

const flat = new WeakMap<object, boolean>()

/** True when no field of a class holds parts that are checked by a class of their own. */
export function isFlat(shape: Shape): boolean {
  const known = flat.get(shape)
  if (known !== undefined) return known
  const isOne = !rulesOf(shape).some(({ type }) => type === ValidationTypes.NESTED_VALIDATION)
  flat.set(shape, isOne)
  return isOne
}

/** What one field must pass, when it is looked at at all. */
interface FieldRules {
  name: string
  isLookedAt: (object: object, value: unknown) => boolean
  passes: (object: object, value: unknown) => boolean
}

const fields = new WeakMap<Shape, ReadonlyMap<string, FieldRules>>()

/** The fields of a flat class, with the library's own rules put in a row. */
function fieldsOf(shape: Shape): ReadonlyMap<string, FieldRules> {
  const known = fields.get(shape)
  if (known) return known
  const found = new Map<string, FieldRules>()
  const all = rulesOf(shape)
  for (const name of new Set(all.map(({ propertyName }) => propertyName))) {
    const own = all.filter(({ propertyName }) => propertyName === name)
    const conditions = own.filter(({ type }) => type === ValidationTypes.CONDITIONAL_VALIDATION)
    const checks = own.flatMap((rule) => (conditions.includes(rule) ? [] : checksOf(shape, rule)))
    found.set(name, {
      name,
      isLookedAt: (object, value) =>
        conditions.every(({ constraints }) => (constraints[0] as FieldRules['isLookedAt'])(object, value)),
      passes: (object, value) => checks.every((passes) => passes(object, value)),
    })
  }
  fields.set(shape, found)
  return found
}

function checksOf(shape: Shape, rule: Rule): FieldRules['passes'][] {
  if (rule.type !== ValidationTypes.CUSTOM_VALIDATION && rule.type !== ValidationTypes.IS_DEFINED) return []
  return storage.getTargetValidatorConstraints(rule.constraintCls).map(({ target }) => {
    const kind = getFromContainer(target as new () => ValidatorConstraintInterface)
    const isValid = (object: object, value: unknown, field: unknown) =>
      kind.validate(value, {
        targetName: shape.name,
        property: rule.propertyName,
        object,
        value: field,
        constraints: rule.constraints,
      }) === true
    return (object, value) => {
      if (rule.validateIf && !rule.validateIf(object, value)) return true
      return rule.each && Array.isArray(value)
        ? value.every((each) => isValid(object, each, value))
        : isValid(object, value, value)
    }
  })
}

/**
 * True when a value certainly is as its flat class says, with no key more: the usual case, found without the library's
 * preparing of what it would say. When it is not, the library says what is wrong.
 */
export function fits(shape: Shape, value: object): boolean {
  const all = fieldsOf(shape)
  for (const key of Object.keys(value)) if (!all.has(key)) return false
  for (const { name, isLookedAt, passes } of all.values()) {
    const given = (value as Record<string, unknown>)[name]
    if (isLookedAt(value, given) && !passes(value, given)) return false
  }
  return true
}
