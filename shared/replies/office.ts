import type { OrderLine } from '#core/office/order-list'
import type { PrintedIn } from '#core/office/year'

/** What is to be ordered. */
export interface OrdersReply {
  lines: OrderLine[]
}

/** What the room did in a year. */
export interface YearReply {
  printed: PrintedIn
  /** Prints that were signed, those whose signing was taken back left out. */
  signed: number
  /** Large sheets torn, by paper, and the pieces they gave. */
  papers: { name: string; sheets: number; pieces: number; cents: number }[]
  /** Pieces that were torn, and those lost at the press or spoiled beside it. */
  pieces: { torn: number; lost: number }
  /** Time at each press, those pulls included that were made in no session. */
  presses: { name: string; minutes: number; reckoned: number }[]
}
