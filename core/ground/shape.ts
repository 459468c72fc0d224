import {
  ArrayMaxSize,
  ArrayMinSize,
  getMetadataStorage,
  IsArray,
  IsDefined,
  IsInt,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator'

/** A class whose instances are the data of an act, or a part of it. Fields only: a method would be data to nobody. */
export type Shape<Data extends object = object> = new () => Data

/** The class of an act's data: with one that could be sent, for tests and as the first thing a random run throws. */
export type ActShape<Data extends object = object> = Shape<Data> & { sample: NoInfer<Data> }

export type Unit = 'mm' | 'g' | 'mg' | 'g/m²' | 'g/cm³' | 'cents' | 'sheets' | '%' | 'days' | 'h'

/** What we say of a field beyond what class-validator keeps of it. */
interface Note {
  unit?: Unit
  orNull?: boolean
  /** The class of a part, or of each of many. */
  part?: () => Shape
  isMany?: boolean
  /** The kind of stream, or of thing within one, that an id names. */
  names?: string
  /** What a person calls it, where its own name would not be understood. */
  called?: string
  /** Never said again, not even to whoever gave it. */
  isSecret?: boolean
}

const notes = new WeakMap<object, Map<string, Note>>()

function note(target: object, key: string | symbol, said: Note): void {
  const own = notes.get(target) ?? new Map<string, Note>()
  own.set(String(key), { ...own.get(String(key)), ...said })
  notes.set(target, own)
}

function noteOf(shape: Shape, key: string): Note {
  let found: Note = {}
  for (let at: object | null = shape.prototype; at; at = Object.getPrototypeOf(at) as object | null)
    found = { ...notes.get(at)?.get(key), ...found }
  return found
}

/**
 * A decorator that fits fields of one type only: on another it does not compile. `null` is let through, since `OrNull`
 * stands beside it, and so is what may be left out.
 */
type On<Value> = <Key extends string>(target: { [K in Key]?: Value | null }, key: Key) => void

const all =
  <Value>(...decorators: PropertyDecorator[]): On<Value> =>
  (target, key) =>
    decorators.forEach((decorate) => decorate(target, key))

const noted =
  (said: Note): PropertyDecorator =>
  (target, key) =>
    note(target, key, said)

/** What a number is in. */
export const Unit = (unit: Unit): On<number> => all(noted({ unit }))

/** What may be null and is otherwise checked; left out, it is refused. */
export const OrNull = (): PropertyDecorator => (target, key) => {
  ValidateIf((_object, value) => value !== null)(target, key as string)
  note(target, key, { orNull: true })
}

/** The id of something: of a stream of that kind, or of a thing within one. */
export const Id = (names: string, most = 64): On<string> => all(IsString(), Length(1, most), noted({ names }))

/** Several of them. */
export const Ids = (names: string, most: number): On<string[]> =>
  all(
    IsArray(),
    ArrayMaxSize(most),
    IsString({ each: true }),
    Length(1, 64, { each: true }),
    noted({ names, isMany: true }),
  )

/** The highest number a sheet can have. */
const mostSheets = 20_000

/** A sheet of the edition by number. */
export const SheetId = (): On<number> => all(IsInt(), Min(1), Max(mostSheets), noted({ names: 'sheet' }))

/** Sheets of the edition by number. */
export const SheetIds = (most = 5000): On<number[]> =>
  all(
    IsArray(),
    ArrayMaxSize(most),
    IsInt({ each: true }),
    Min(1, { each: true }),
    Max(mostSheets, { each: true }),
    noted({ names: 'sheet', isMany: true }),
  )

/** What a person calls the field: “The name of the pressroom is a text of 1 to 80 characters”. */
export const Called = (called: string): PropertyDecorator => noted({ called })

/** A PIN or passphrase. */
export const Secret = (least = 0): On<string> =>
  all(IsString(), Length(least, 200), noted({ called: 'the PIN or passphrase', isSecret: true }))

/** Words of a person. */
export const Words = (most: number): On<string> => all(IsString(), MaxLength(most))

/** A part, checked by its class. */
export const Part = <Data extends object>(part: () => Shape<Data>): On<Data> =>
  all(IsDefined(), ValidateNested(), noted({ part }))

/** Parts, each checked by their class. */
export const Parts = <Data extends object>(part: () => Shape<Data>, most: number, least = 0): On<Data[]> =>
  all(IsArray(), ArrayMinSize(least), ArrayMaxSize(most), ValidateNested({ each: true }), noted({ part, isMany: true }))

export type FieldKind =
  'whole' | 'number' | 'words' | 'choice' | 'flag' | 'day' | 'room time' | 'instant' | 'pattern' | 'part'

/** One field as a form shows it and a random run fills it. */
export interface Field {
  name: string
  kind: FieldKind
  /** Bounds of a number, or of how many characters a text has; both are within. */
  least: number
  most: number
  /** How many there may be of a list, else null. */
  many: { least: number; most: number } | null
  orNull: boolean
  unit: Unit | null
  choices: readonly unknown[]
  pattern: RegExp | null
  /** What is said of a value that does not fit, where the class says it in its own words. */
  message: string | null
  part: Shape | null
  names: string | null
  /** What it is called where something is said of it. */
  called: string | null
  isSecret: boolean
}

const kinds: Record<string, FieldKind> = {
  isInt: 'whole',
  isNumber: 'number',
  isString: 'words',
  isIn: 'choice',
  isBoolean: 'flag',
  isDay: 'day',
  isRoomTime: 'room time',
  isMoment: 'instant',
  matches: 'pattern',
}

const described = new WeakMap<Shape, ReadonlyMap<string, Field>>()

/** The fields of a class in the order they are written, those it inherits first. */
export function fieldsOf(shape: Shape): ReadonlyMap<string, Field> {
  const known = described.get(shape)
  if (known) return known
  const fields = new Map<string, Field>()
  // Of a subclass class-validator lists its own first.
  const metadata = getMetadataStorage().getTargetValidationMetadatas(shape, '', false, false)
  const chain: unknown[] = []
  for (let at: unknown = shape; typeof at === 'function'; at = Object.getPrototypeOf(at)) chain.unshift(at)
  const inOrder = [...metadata].sort((a, b) => chain.indexOf(a.target) - chain.indexOf(b.target))
  for (const { propertyName: name, name: rule = '', type, constraints: given = [], message } of inOrder) {
    const field = fields.get(name) ?? blank(shape, name)
    fields.set(name, field)
    const [first, second] = given as [never, never]
    if (kinds[rule]) field.kind = kinds[rule]
    if (rule === 'min') field.least = first
    if (rule === 'max' || rule === 'maxLength') field.most = first
    if (rule === 'isLength') [field.least, field.most] = [first, second]
    if (rule === 'isIn') field.choices = first
    if (rule === 'matches') field.pattern = first
    if (rule === 'arrayMaxSize') field.many = { least: field.many?.least ?? 0, most: first }
    if (rule === 'arrayMinSize') field.many = { least: first, most: field.many?.most ?? Infinity }
    // Of parts class-validator brings words of its own.
    if (typeof message === 'string' && type !== 'nestedValidation') field.message = message
  }
  described.set(shape, fields)
  return fields
}

function blank(shape: Shape, name: string): Field {
  const { unit = null, orNull = false, part, names = null, called = null, isSecret = false } = noteOf(shape, name)
  return {
    name,
    kind: part ? 'part' : 'words',
    least: -Infinity,
    most: Infinity,
    many: null,
    orNull,
    unit,
    choices: [],
    pattern: null,
    message: null,
    part: part?.() ?? null,
    names,
    called,
    isSecret,
  }
}

/** Parsed JSON as an instance of the class, and its parts of theirs, so that each is checked. What is no object stays. */
export function asShape<Data extends object>(shape: Shape<Data>, given: object): Data {
  const made = Object.assign(Object.create(shape.prototype as object) as Record<string, unknown>, given)
  for (const { name, part } of fieldsOf(shape).values()) {
    if (!part) continue
    const value = made[name]
    const read = (one: unknown) =>
      typeof one === 'object' && one !== null && !Array.isArray(one) ? asShape(part, one) : one
    made[name] = Array.isArray(value) ? value.map(read) : read(value)
  }
  return made as Data
}

const figure = (value: number) => String(value).replace('-', '−')

/** What is expected of a field, to be read after its name: “is a whole number from 1 to 500”. */
export function expected({ kind, least, most, unit, choices, many, orNull, message }: Field): string {
  if (message !== null) return message
  const of = unit === null ? '' : ` ${unit}`
  const range =
    most === Infinity ? `of at least ${figure(least)}${of}` : `from ${figure(least)} to ${figure(most)}${of}`
  const bounded = least === -Infinity && most === Infinity ? '' : ` ${range}`
  const one: Record<FieldKind, string> = {
    whole: `a whole number${bounded}`,
    number: `a number${bounded}`,
    words: least > 0 ? `a text of ${least} to ${most} characters` : `a text of at most ${most} characters`,
    choice: `one of ${choices.map(String).join(', ')}`,
    flag: 'yes or no',
    day: 'a day, written 2026-11-05',
    'room time': 'a time by the room’s clock, written 2026-12-24T18:30',
    instant: 'a moment, written 2026-11-02T09:30:00.000Z',
    pattern: 'written otherwise',
    part: 'an object',
  }
  const whole = many
    ? `a list${many.most === Infinity ? '' : ` of ${many.least} to ${many.most}`}, each ${one[kind]}`
    : one[kind]
  return `is ${whole}${orNull ? ', or none' : ''}`
}
