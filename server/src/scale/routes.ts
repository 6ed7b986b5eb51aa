import { scaleOperations } from '@fleam/contract/scale/operations'
import { requireOpen } from '../fabrication/index.ts'
import { Refusal, sendEvents } from '../http/index.ts'
import { serve } from '../serve/index.ts'
import type { ScaleGateway } from './gateway.ts'

/** The scale: its state, its readings as they come, and its commands. */
export const scaleRoutes = (scale: ScaleGateway) =>
  serve(scaleOperations, {
    readScale: () => scale.status,
    followScale: ({ request, reply }) =>
      sendEvents(request, reply, (send) => {
        send(scale.status)
        return scale.subscribe(send)
      }),
    commandScale: async ({ scope, params, body }) => {
      await requireOpen(scope, params.fabricationId)
      scale.send(body.command)
      return scale.status
    },
    loadStandIn: ({ body }) => {
      if (scale.status.reading && !scale.status.reading.simulated) {
        throw new Refusal('not-a-stand-in', 'Put the thing on the scale itself.')
      }
      scale.send(`put ${body.grams}`)
      return scale.status
    },
  })
