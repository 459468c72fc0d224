import { IsIn, IsNumber, Max, Min } from 'class-validator'

const acts = ['tare', 'pour', 'stop', 'clear', 'unplug', 'plug'] as const

/** What is done at the scale. `rate`: grams a second, for pouring. */
export class ActAtScale {
  @IsIn(acts) act!: (typeof acts)[number]
  @IsNumber() @Min(0) @Max(100) rate!: number
}
