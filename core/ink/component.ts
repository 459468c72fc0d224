/** One ink in a batch. Weights are whole milligrams, so that sums are exact. */
export interface Component {
  /** The tub it came from, or null when it was not in the store. */
  tubId: string | null
  /** The left-over batch it came from, or null. */
  batchId: string | null
  name: string
  milligrams: number
}

/** Weight of some components, milligrams. */
export function weightOf(components: readonly Pick<Component, 'milligrams'>[]): number {
  return components.reduce((sum, component) => sum + component.milligrams, 0)
}

/** Share of each component in the whole, in the order given; they add up to 1. */
export function shares(components: readonly Pick<Component, 'milligrams'>[]): number[] {
  const total = weightOf(components)
  return components.map((component) => (total === 0 ? 0 : component.milligrams / total))
}

/** Components with more of them stirred in; what comes from the same place is one. */
export function stirred(components: readonly Component[], more: readonly Component[]): Component[] {
  const all = components.map((component) => ({ ...component }))
  for (const added of more) {
    const known = all.find(
      (one) => one.name === added.name && one.tubId === added.tubId && one.batchId === added.batchId,
    )
    if (known) known.milligrams += added.milligrams
    else all.push({ ...added })
  }
  return all
}
