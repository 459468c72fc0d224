import { allSeries, type Series } from '../print/series'
import type { Place } from './places'

/** One line of the count, as it would be pencilled in a ledger. */
export interface CountRow {
  key: string
  label: string
  sheets: number
}

const seriesPlural: Record<Series, string> = { edition: 'edition', AP: 'AP', PP: 'PP', HC: 'HC' }

/** The line of the count that a place belongs to, or null for a sheet that is no sheet any more. */
export function rowOf(place: Place): { key: string; label: string; order: number } | null {
  switch (place.kind) {
    case 'split':
      return null
    case 'blank':
      return { key: 'blank', label: 'blank', order: 0 }
    case 'drying':
      return { key: `drying-${place.layer}`, label: `layer ${place.layer}, drying`, order: 20 + place.layer }
    case 'waiting':
      return { key: `waiting-${place.layer}`, label: `waiting for layer ${place.layer}`, order: 20 + place.layer - 0.5 }
    case 'doubtful':
      return { key: 'doubtful', label: 'doubtful', order: 50 }
    case 'good':
      if (place.curated) return { key: 'curated', label: 'curated good', order: 61 }
      return place.isUnfinished
        ? { key: 'unfinished', label: 'good, to finish', order: 59 }
        : { key: 'good', label: 'good', order: 60 }
    case 'marked': {
      const order = 70 + allSeries.indexOf(place.series) * 2
      return place.signed
        ? { key: `signed-${place.series}`, label: `${seriesPlural[place.series]}, signed`, order: order + 1 }
        : { key: `numbered-${place.series}`, label: `${seriesPlural[place.series]}, numbered`, order }
    }
    case 'archive':
      return { key: 'archive', label: 'archive', order: 79 }
    case 'bat':
      return { key: 'bat', label: 'BAT', order: 80 }
    case 'standard':
      return { key: `standard-${place.layer}`, label: `standard, layer ${place.layer}`, order: 79 + place.layer / 100 }
    case 'proof':
      return { key: `proof-${place.proof}`, label: proofLabel(place.proof), order: 81 }
    case 'left behind':
      return { key: `left-behind-${place.layer}`, label: `left behind at layer ${place.layer}`, order: 89 }
    case 'reject':
      return place.layer === 0
        ? { key: 'rejects-0', label: 'spoiled blank', order: 90 }
        : { key: `rejects-${place.layer}`, label: `rejects, layer ${place.layer}`, order: 90 + place.layer }
    case 'destroyed':
      return { key: 'destroyed', label: 'destroyed', order: 110 }
  }
}

function proofLabel(proof: string): string {
  const words: Record<string, string> = {
    WP: 'working proofs',
    SP: 'state proofs',
    CTP: 'colour trials',
    progressive: 'progressives',
    'warm-up': 'warm-up pulls',
    ghost: 'ghosts',
    practice: 'practice pulls',
  }
  return words[proof] ?? proof
}
