import { id } from '@fleam/contract'
import type { FastifyInstance } from 'fastify'
import type { ZodTypeProvider } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { invalidInput, Refusal } from './problems.ts'

/** Routes take their types from the contract's schemas. */
export type Server = ReturnType<typeof withSchemas>

/** An answer that is not as its schema says, with where it is given. */
export interface OddAnswer {
  method: string
  url: string
  error: z.ZodError
}

/**
 * Checks what comes in and what goes out with the contract's schemas. Refusals name every field. What is stored can
 * always be read: an answer that is odd all the same is told to `onOddAnswer`, and given as it is.
 */
export function withSchemas(app: FastifyInstance, onOddAnswer: (odd: OddAnswer) => void) {
  app.setValidatorCompiler<z.ZodType>(({ schema }) => (data) => {
    const result = schema.safeParse(data)
    if (!result.success) return { error: invalidInput(result.error) }
    const broken = brokenText(data)
    return broken === null ? { value: result.data } : { error: refuseText(broken) }
  })
  app.setSerializerCompiler<z.ZodType>(({ schema, method, url }) => (data) => {
    const { success, data: said, error } = schema.safeParse(data)
    if (!success) onOddAnswer({ method, url, error })
    return JSON.stringify(success ? said : data)
  })
  return app.withTypeProvider<ZodTypeProvider>()
}

/** Where half a character stands, which no column and no file can keep; null where all text is whole. */
function brokenText(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return HALF_A_CHARACTER.test(value) ? path : null
  if (value === null || typeof value !== 'object') return null
  for (const [key, each] of Object.entries(value)) {
    const inner = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`
    const found = HALF_A_CHARACTER.test(key) ? path : brokenText(each, inner)
    if (found !== null) return found
  }
  return null
}
const HALF_A_CHARACTER = /\p{Surrogate}/u

function refuseText(path: string): Refusal {
  const message = 'holds half a character'
  return new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
}

/** Refuses, field by field, what would be stored and could then not be read as its schema says. */
export function requireReadable(schema: z.ZodType, whole: unknown): void {
  const result = schema.safeParse(whole)
  if (!result.success) throw invalidInput(result.error)
}

export const kitchenParams = z.object({ kitchenId: id })
export const fabricationParams = z.object({ kitchenId: id, id })
