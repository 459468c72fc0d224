import { defineStream } from '../../ground/act'
import { emptyStudio } from './state'

/** The room itself: its customs, prices, people, rollers and past. There is one. */
export const studio = defineStream('studio', emptyStudio)
