/**
 * States and arrays made within the fold that is going on. Nobody outside has seen them, so they may change in place:
 * an edition of thousands of pulls folds in time linear in them. Null outside a fold.
 */
let madeHere: WeakSet<object> | null = null

/** Many evolver steps as one: what they make may change in place until the last is done. */
export function folding<Result>(run: () => Result): Result {
  madeHere = new WeakSet()
  try {
    return run()
  } finally {
    madeHere = null
  }
}

/** The array itself when this fold made it, else a copy that may be changed. */
function writable<Value>(values: readonly Value[]): Value[] {
  if (madeHere?.has(values)) return values as Value[]
  const copy = values.slice()
  madeHere?.add(copy)
  return copy
}

/** The state with some of it changed. */
export function changed<State extends object>(state: State, change: Partial<State>): State {
  if (madeHere?.has(state)) return Object.assign(state, change)
  const next = { ...state, ...change }
  madeHere?.add(next)
  return next
}

/** The array with one value more. */
export function appended<Value>(values: readonly Value[], value: Value): Value[] {
  const next = writable(values)
  next.push(value)
  return next
}

/** The array with another value at a place; as it was when it has no such place. */
export function replacedAt<Value>(values: Value[], index: number, value: Value): Value[] {
  if (index < 0 || index >= values.length) return values
  const next = writable(values)
  next[index] = value
  return next
}

/** The array with those values changed that the test finds. */
export function replacedWhere<Value>(
  values: readonly Value[],
  found: (value: Value) => boolean,
  change: (value: Value) => Value,
): Value[] {
  return values.map((value) => (found(value) ? change(value) : value))
}
