import { IsIn, IsNumber, Max, Min } from 'class-validator'

const acts = ['turn', 'stop', 'zero', 'unplug', 'plug'] as const
const sides = ['left', 'right', 'both'] as const

/** What is done at a press's gauge. `rate`: turns a second, up above zero. */
export class ActAtGauge {
  @IsIn(acts) act!: (typeof acts)[number]
  @IsIn(sides) screw!: (typeof sides)[number]
  @IsNumber() @Min(-4) @Max(4) rate!: number
}
