/** A rectangle that lies square, from the upper left corner; y goes down. mm. */
export interface Box {
  left: number
  top: number
  width: number
  height: number
}
