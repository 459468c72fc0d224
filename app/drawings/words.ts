import { pluralOf } from '#core/units/pluralise'

/** How long ago, or how long still, as one would say it. */
export function ago(iso: string | null, now = Date.now()): string {
  if (!iso) return ''
  const minutes = Math.round((now - Date.parse(iso)) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 60) return `${minutes} min ago`
  const hours = Math.round(minutes / 60)
  if (hours < 24) return `${hours} h ago`
  const days = Math.round(hours / 24)
  return days === 1 ? 'yesterday' : `${days} days ago`
}

export function formatDuration(minutes: number | null): string {
  if (minutes === null) return ''
  if (minutes < 90) return `about ${Math.max(1, Math.round(minutes))} min`
  return `about ${(minutes / 60).toFixed(minutes < 600 ? 1 : 0)} h`
}

/** A chance as one would stake on it: never a flat 100 or 0 while it is open. */
export function percent(chance: number): string {
  if (chance > 0.99 && chance < 1) return '> 99 %'
  if (chance > 0 && chance < 0.01) return '< 1 %'
  return `${Math.round(chance * 100)} %`
}

/** A chance that may have been reckoned roughly. */
export function chanceWords(chance: number, isRough: boolean): string {
  return `${isRough ? '≈ ' : ''}${percent(chance)}`
}

export function grams(milligrams: number): string {
  return `${(milligrams / 1000).toFixed(1)} g`
}

/** What is left of an ink: weighed, or reckoned from the pulls since. */
export function leftWords({ milligrams, of, pulls }: { milligrams: number; of: number; pulls: number }): string {
  if (pulls === 0) return `${grams(of)} left`
  return `about ${Math.round(milligrams / 1000)} g of ${grams(of)} left, by ${pulls} ${pulls === 1 ? 'pull' : 'pulls'}`
}

const small = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']

/** “one layer”, “four layers”, “31 layers”: as one would say it. */
export function counted(number: number, one: string, many = pluralOf(one)): string {
  return `${small[number] ?? number} ${number === 1 ? one : many}`
}

/** “a”, “a and b”, “a, b and c”. */
export function listed(words: readonly string[]): string {
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : words.join('')
}
