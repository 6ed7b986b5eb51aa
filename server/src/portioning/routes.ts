import { bondedPlan, bondedWish, portionPlan, portionWish, rackPlan, racksWished, rackWish } from '@fleam/contract'
import type { Compute } from '../compute/compute.ts'
import type { Server } from '../http/schemas.ts'

const tags = ['portioning']

/** Stateless: a piece and what is wanted of it in, its cuts out. */
export function portioningRoutes(app: Server, compute: Compute): void {
  app.post('/api/portion-plan', { schema: { tags, body: portionWish, response: { 200: portionPlan } } }, (request) =>
    compute.do('portion-plan', request.body),
  )

  app.post('/api/bonded-plan', { schema: { tags, body: bondedWish, response: { 200: bondedPlan } } }, (request) =>
    compute.do('bonded-plan', request.body),
  )

  app.post('/api/rack-plan', { schema: { tags, body: rackWish, response: { 200: rackPlan } } }, (request) => {
    return compute.do('rack-plan', racksWished.parse(request.body))
  })
}
