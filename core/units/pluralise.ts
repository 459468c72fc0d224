const irregular: Readonly<Record<string, string>> = { person: 'people', 'left over': 'left over' }

/** The plural of a noun, or of a phrase by its first word where a preposition follows. */
export function pluralOf(noun: string): string {
  const found = irregular[noun]
  if (found !== undefined) return found
  const parted = /^(\S+)( (?:of|to|for|in|on|at) .*)$/.exec(noun)
  if (parted) return pluralOf(parted[1]!) + parted[2]!
  if (/(?:s|x|z|ch|sh)$/.test(noun)) return `${noun}es`
  if (/[^aeiou]y$/.test(noun)) return `${noun.slice(0, -1)}ies`
  return `${noun}s`
}

/**
 * A number with its noun, in the number that it has.
 * @example pluralise(1, 'reject') // '1 reject'
 * @example pluralise(0, 'batch') // '0 batches'
 * @example
 * pluralise(3, 'sheet') // '3 sheets'
 */
export const pluralise = (number: number, noun: string, plural = pluralOf(noun)): string =>
  `${number} ${number === 1 ? noun : plural}`

/**
 * The verb that goes with a number.
 * @example agree(2, 'goes', 'go') // 'go'
 * @example
 * agree(1, 'needs', 'need') // 'needs'
 */
export const agree = (number: number, one: string, many: string): string => (number === 1 ? one : many)
