import { median } from './server.mjs'

/**
 * How fast the machine is just now, ms for a fixed sum and a fixed text: shared machines change their pace within the hour, and
 * a figure says little without it.
 */
export function measurePace() {
  const times = []
  for (let round = 0; round < 5; round++) {
    const began = performance.now()
    let sum = 1
    for (let i = 0; i < 30_000_000; i++) sum = (sum * 1_103_515_245 + 12_345) | 0
    const lines = Array.from({ length: 20_000 }, (_, i) => ({ i: i + (sum & 1), words: `line ${i}` }))
    JSON.parse(JSON.stringify(lines))
    times.push(performance.now() - began)
  }
  return median(times)
}
