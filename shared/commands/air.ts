import { IsIn } from 'class-validator'

const acts = ['warm', 'cool', 'damp', 'dry', 'unplug', 'plug'] as const

/** What is done to the stand-in for the room sensor. */
export class ActOnAir {
  @IsIn(acts) act!: (typeof acts)[number]
}
