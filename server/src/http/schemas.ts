import { id } from '@fleam/contract'
import type { FastifyInstance } from 'fastify'
import { serializerCompiler, type ZodTypeProvider } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { invalidInput } from './problems.ts'

/** Routes take their types from the contract's schemas. */
export type Server = ReturnType<typeof withSchemas>

/** Checks what comes in and what goes out with the contract's schemas; refusals name every field. */
export function withSchemas(app: FastifyInstance) {
  app.setValidatorCompiler<z.ZodType>(({ schema }) => (data) => {
    const result = schema.safeParse(data)
    return result.success ? { value: result.data } : { error: invalidInput(result.error) }
  })
  app.setSerializerCompiler(serializerCompiler)
  return app.withTypeProvider<ZodTypeProvider>()
}

export const kitchenParams = z.object({ kitchenId: id })
export const fabricationParams = z.object({ kitchenId: id, id })
