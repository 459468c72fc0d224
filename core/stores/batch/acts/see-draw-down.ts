import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { SeenDrawDown } from '../../../ink/draw-down'
import { batch } from '../stream'

const drawDownSeen = defineEvent(batch, 'draw-down-seen', (state, data: SeenDrawDown) =>
  changed(state, { drawDown: data, colour: data.colour }),
)

/** The batch is drawn down, and its colour seen. */
export const seeDrawDown = defineAct(batch, 'see-draw-down', SeenDrawDown, anyone, {
  events: [drawDownSeen],
  rule: ({ batch }, data) =>
    data.thickness > 0
      ? [drawDownSeen.on(batch, data)]
      : refuse('thickness-range', 'Give the film thickness of the draw-down in µm, above zero.', 'thickness'),
})
