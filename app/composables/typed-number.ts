/** A number as a person types it, with a point or a comma; `blank` for none, NaN for what is no number. */
export function typedNumber(text: unknown, blank = Number.NaN): number {
  const typed = String(text ?? '')
    .trim()
    .replace(',', '.')
  return typed === '' ? blank : Number(typed)
}
