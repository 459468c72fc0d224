import { type Film, rankOrders, type Wish } from '#core/ink/overprint'

export interface OrdersAsked {
  paper: Float64Array
  white: Float64Array
  films: Film[]
  wishes: Wish[]
}

addEventListener('message', ({ data }: MessageEvent<OrdersAsked>) => {
  postMessage(rankOrders(data.paper, data.white, data.films, data.wishes))
})
