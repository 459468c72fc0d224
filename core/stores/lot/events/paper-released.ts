import { IsInt, Max, Min } from 'class-validator'
import { Id, Unit } from '../../../ground/shape'
import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { rationChanged } from '../ration'
import { lot } from '../stream'

export class Released {
  static readonly sample: Released = { rationId: 'r', sheets: 2 }

  @Id('ration') rationId!: string
  @IsInt() @Min(1) @Max(10_000) @Unit('sheets') sheets!: number
}

/** Sheets put aside were given into the person's hands. */
export const paperReleased = defineEvent(lot, 'paper-released', (state, { rationId, sheets }: Released) =>
  changed(
    rationChanged(state, rationId, (ration) => ({ ...ration, released: ration.released + sheets })),
    { left: state.left - sheets },
  ),
)
