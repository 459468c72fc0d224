/**
 * Nodes and weights for the average of a function of p over p ~ Beta(a, b): Gauss–Jacobi by the Golub–Welsch method.
 *
 * With n nodes the average is exact for polynomials in p up to degree 2n − 1. The nodes are the eigenvalues of the
 * symmetric tridiagonal Jacobi matrix of the weight p^(a−1)(1−p)^(b−1) on (0, 1); a weight is the square of its
 * eigenvector's first component. Source: G. H. Golub and J. H. Welsch, Calculation of Gauss quadrature rules (1969).
 *
 * @throws RangeError unless a, b > 0 and n is a whole number from 1.
 */
export function betaQuadrature(a: number, b: number, n: number): { nodes: Float64Array; weights: Float64Array } {
  if (!(a > 0 && b > 0)) throw new RangeError(`A Beta distribution needs a and b above 0; ${a} and ${b} were given.`)
  if (!Number.isInteger(n) || n < 1) throw new RangeError(`A rule has at least one node; ${n} was asked for.`)
  // Jacobi polynomials on (−1, 1) carry (1−x)^α (1+x)^β; with x = 2p − 1 that is α = b − 1, β = a − 1.
  const alpha = b - 1
  const beta = a - 1
  const diagonal = new Float64Array(n)
  const beside = new Float64Array(n)
  for (let k = 0; k < n; k++) {
    const s = 2 * k + alpha + beta
    diagonal[k] = k === 0 ? (beta - alpha) / (alpha + beta + 2) : (beta * beta - alpha * alpha) / (s * (s + 2))
    if (k > 0) {
      beside[k - 1] =
        k === 1
          ? Math.sqrt((4 * (1 + alpha) * (1 + beta)) / ((alpha + beta + 2) ** 2 * (alpha + beta + 3)))
          : Math.sqrt((4 * k * (k + alpha) * (k + beta) * (k + alpha + beta)) / (s * s * (s + 1) * (s - 1)))
    }
  }
  const first = new Float64Array(n)
  first[0] = 1
  diagonalise(diagonal, beside, first)
  return {
    nodes: diagonal.map((x) => Math.min(1, Math.max(0, (x + 1) / 2))),
    weights: first.map((component) => component * component),
  }
}

/**
 * Implicit QL on a symmetric tridiagonal matrix, in place: `diagonal` becomes the eigenvalues, `first` the first
 * components of the eigenvectors. Shifts are Wilkinson's; `beside[n−1]` is scratch.
 */
function diagonalise(diagonal: Float64Array, beside: Float64Array, first: Float64Array): void {
  const n = diagonal.length
  for (let l = 0; l < n; l++) {
    for (let sweep = 0; ; sweep++) {
      let m = l
      while (m < n - 1 && Math.abs(beside[m]!) > Number.EPSILON * (Math.abs(diagonal[m]!) + Math.abs(diagonal[m + 1]!)))
        m++
      if (m === l) break
      if (sweep > 200) throw new RangeError('The quadrature did not settle.')
      let g = (diagonal[l + 1]! - diagonal[l]!) / (2 * beside[l]!)
      let r = Math.hypot(g, 1)
      g = diagonal[m]! - diagonal[l]! + beside[l]! / (g + (g >= 0 ? r : -r))
      let s = 1
      let c = 1
      let p = 0
      let i = m - 1
      for (; i >= l; i--) {
        const f = s * beside[i]!
        const h = c * beside[i]!
        r = Math.hypot(f, g)
        beside[i + 1] = r
        if (r === 0) {
          diagonal[i + 1]! -= p
          beside[m] = 0
          break
        }
        s = f / r
        c = g / r
        g = diagonal[i + 1]! - p
        r = (diagonal[i]! - g) * s + 2 * c * h
        p = s * r
        diagonal[i + 1] = g + p
        g = c * r - h
        const upper = first[i + 1]!
        first[i + 1] = s * first[i]! + c * upper
        first[i] = c * first[i]! - s * upper
      }
      if (r === 0 && i >= l) continue
      diagonal[l]! -= p
      beside[l] = g
      beside[m] = 0
    }
  }
}
