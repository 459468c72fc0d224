/** A stretch of time, from and to in minutes since any one moment; `to` is beyond it. */
export interface Span {
  from: number
  to: number
}

/** Spans in order, those that touch or overlap made one. */
export function merged(spans: readonly Span[]): Span[] {
  const found: Span[] = []
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from)) {
    if (to <= from) continue
    const last = found.at(-1)
    if (last && from <= last.to) last.to = Math.max(last.to, to)
    else found.push({ from, to })
  }
  return found
}

/** What of some spans is left when others are taken out of them. */
export function without(spans: readonly Span[], taken: readonly Span[]): Span[] {
  const gone = merged(taken)
  return merged(spans).flatMap((span) => {
    const left: Span[] = []
    let { from } = span
    for (const { from: begun, to } of gone) {
      if (to <= from || begun >= span.to) continue
      if (begun > from) left.push({ from, to: begun })
      from = Math.max(from, to)
    }
    if (from < span.to) left.push({ from, to: span.to })
    return left
  })
}

/** The place in a row of spans, in order and apart, of the first that is not over by then. */
function firstAfter(spans: readonly Span[], moment: number): number {
  let [low, high] = [0, spans.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (spans[middle]!.to <= moment) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * The first moment from which something of so many minutes fits whole into a span of each of these rows, not before
 * `earliest`; null when it fits nowhere. What takes no time fits wherever a span is.
 * @param rows each of spans in order, apart
 */
export function firstFit(rows: readonly (readonly Span[])[], minutes: number, earliest: number): number | null {
  let start = earliest
  for (;;) {
    let isFit = true
    for (const spans of rows) {
      let i = firstAfter(spans, start)
      while (i < spans.length && Math.max(spans[i]!.from, start) + minutes > spans[i]!.to) i++
      if (i === spans.length) return null
      const from = Math.max(spans[i]!.from, start)
      if (from > start) [start, isFit] = [from, false]
    }
    if (isFit) return start
  }
}

/** Take a span out of a row of them, in order and apart; what is left of those it cuts stays. */
export function takeOut(spans: Span[], { from, to }: Span): void {
  if (to <= from) return
  const first = firstAfter(spans, from)
  let end = first
  while (end < spans.length && spans[end]!.from < to) end++
  const left = spans
    .slice(first, end)
    .flatMap((span) => [
      ...(span.from < from ? [{ from: span.from, to: from }] : []),
      ...(span.to > to ? [{ from: to, to: span.to }] : []),
    ])
  spans.splice(first, end - first, ...left)
}

/** The last moment from which it fits and ends by `latest`; null when there is none. */
export function lastFit(spans: readonly Span[], minutes: number, latest: number): number | null {
  for (let i = spans.length - 1; i >= 0; i--) {
    const { from, to } = spans[i]!
    const start = Math.min(to, latest) - minutes
    if (start >= from && start < to) return start
  }
  return null
}
