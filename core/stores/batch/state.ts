import type { When } from '../../ground/envelope'
import type { WeighedRun } from '../../ink/amount'
import type { Component } from '../../ink/component'
import type { SeenDrawDown } from '../../ink/draw-down'
import type { InkFamily } from '../../ink/family'

/** Why ink was added to a batch that stood already. */
export type Addition = 'over-pour' | 'top-up' | 'loosened' | 'changed'
export const additions: readonly Addition[] = ['over-pour', 'top-up', 'loosened', 'changed']

export interface BatchState {
  stream: string
  seq: number
  name: string
  family: InkFamily
  /** Swatch as seen, `#rrggbb`. */
  colour: string
  components: Component[]
  /** Milligrams left. */
  left: number
  mixed: number
  scraped: number
  draws: ({ milligrams: number; editionStream: string; layerId: string | null } & When)[]
  additions: { milligrams: number; why: Addition; at: string }[]
  reweighings: ({ before: number; after: number; reason: string } & When)[]
  keepings: ({ before: number; left: number; scraped: number; how: string } & When)[]
  drawDown: SeenDrawDown | null
  runs: (WeighedRun & When)[]
}

export function emptyBatch(stream: string): BatchState {
  return {
    stream,
    seq: 0,
    name: '',
    family: 'other',
    colour: '#000000',
    components: [],
    left: 0,
    mixed: 0,
    scraped: 0,
    draws: [],
    additions: [],
    reweighings: [],
    keepings: [],
    drawDown: null,
    runs: [],
  }
}

/** A weight in grams, in words. */
export const grams = (milligrams: number) => `${(milligrams / 1000).toFixed(1)} g`

/** A scale for a slab shows a tenth of a gram; a draw may miss the book by as much and is then all there is. */
export const scaleTolerance = 100
