import { defineStream } from '../ground/act'
import { emptyStation } from './state'

/** A place where people work one after the other. A press is one from the day it stands in the room. */
export const station = defineStream('station', emptyStation)
