import { matchColour, type Tub } from '#core/ink/match'
import type { Lab } from '#core/ink/colour'

export interface MatchAsked {
  wanted: Lab
  paper: Float64Array
  thickness: number
  tubs: Tub[]
}

addEventListener('message', ({ data }: MessageEvent<MatchAsked>) => {
  const found = matchColour(data.wanted, data.paper, data.thickness, data.tubs, (done, all) =>
    postMessage({ done, all }),
  )
  postMessage({ found })
})
