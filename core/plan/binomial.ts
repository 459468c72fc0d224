/** ln n! for n = 0 … most, by summing. */
function logFactorials(most: number): Float64Array {
  const table = new Float64Array(most + 1)
  for (let n = 1; n <= most; n++) table[n] = table[n - 1]! + Math.log(n)
  return table
}

/**
 * Rows of the binomial for one q after another, each made when first asked for. What was made for the last q is
 * overwritten: rows are many and short-lived. They lie one behind the other with only the parts that matter, so that all
 * of one q stay in the processor's nearest memory.
 */
export class BinomialRows {
  /** Of row n from the first j that matters, `starts[n]`, to before `ends[n]`: P(j | n, q) at `offsets[n]` + j. */
  readonly values: Float64Array
  readonly offsets: Int32Array
  readonly starts: Int32Array
  readonly ends: Int32Array
  private q = 0
  private nothing = 0
  private used = 0
  private readonly logFactorial: Float64Array

  constructor(most: number) {
    const rows = most + 1
    this.values = new Float64Array((rows * (rows + 1)) / 2)
    this.offsets = new Int32Array(rows)
    this.starts = new Int32Array(rows)
    this.ends = new Int32Array(rows).fill(-1)
    this.logFactorial = logFactorials(most)
  }

  /** From now on the rows are those of a sheet that passes with chance q; parts smaller than `nothing` are left out. */
  use(q: number, nothing: number): void {
    this.q = q
    // Parts left out grow smaller quickly, outward from the first of them.
    this.nothing = nothing / 20
    this.ends.fill(-1)
    this.used = 0
  }

  /** See to it that the row of n is there. @param n at most what the rows were made for */
  prepare(n: number): void {
    if (this.ends[n]! >= 0) return
    if (n > 0 && this.ends[n - 1]! >= 0) this.follow(n)
    else this.make(n)
  }

  /** From the row before: the last sheet passes or does not. Sums of positive numbers, and quicker than anew. */
  private follow(n: number): void {
    const { q, values } = this
    const last = this.offsets[n - 1]!
    let start = this.starts[n - 1]!
    const here = this.used - start
    let end = this.ends[n - 1]!
    let passed = 0
    for (let j = start; j < end; j++) {
      const before = values[last + j]!
      values[here + j] = before * (1 - q) + passed * q
      passed = before
    }
    values[here + end] = passed * q
    end += 1
    this.used = here + end
    this.offsets[n] = here
    while (end - start > 1 && values[here + end - 1]! < this.nothing) end -= 1
    while (end - start > 1 && values[here + start]! < this.nothing) start += 1
    this.starts[n] = start
    this.ends[n] = end
  }

  /** Outward from the peak, each from its neighbour, until nothing is left to add. */
  private make(n: number): void {
    const { q, values, logFactorial } = this
    const from = this.used
    this.offsets[n] = from
    this.used += n + 1
    if (q <= 0 || q >= 1) {
      const certain = q <= 0 ? 0 : n
      values[from + certain] = 1
      this.starts[n] = certain
      this.ends[n] = certain + 1
      return
    }
    const peak = Math.min(n, Math.floor((n + 1) * q))
    const odds = q / (1 - q)
    const ways = logFactorial[n]! - logFactorial[peak]! - logFactorial[n - peak]!
    const top = Math.exp(ways + peak * Math.log(q) + (n - peak) * Math.log1p(-q))
    const least = this.nothing
    let end = peak
    for (let part = top; end <= n && part > least; end++) {
      values[from + end] = part
      part *= ((n - end) / (end + 1)) * odds
    }
    let start = peak
    for (let part = top; start > 0; start--) {
      part *= start / (n - start + 1) / odds
      if (part <= least) break
      values[from + start - 1] = part
    }
    this.starts[n] = start
    this.ends[n] = end
  }
}
