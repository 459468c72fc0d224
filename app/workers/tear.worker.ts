import { planTears } from '#core/paper/tear-plan'
import type { TearRequest } from '#core/paper/tear-request'

addEventListener('message', ({ data }: MessageEvent<{ id: number; requests: TearRequest[] }>) => {
  const progress = (parts: number) => postMessage({ id: data.id, parts })
  postMessage({ id: data.id, plans: data.requests.map((request) => planTears(request, progress)) })
})
