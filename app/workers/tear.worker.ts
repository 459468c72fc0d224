import { planTears, type TearRequest } from '#core/paper/tear-plan'

addEventListener('message', ({ data }: MessageEvent<{ id: number; requests: TearRequest[] }>) => {
  postMessage({ id: data.id, plans: data.requests.map(planTears) })
})
