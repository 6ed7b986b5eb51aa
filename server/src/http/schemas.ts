import { brokenText, HALF_A_CHARACTER } from '@fleam/contract/well-formed'
import { NOT_OF_OUR_TIME } from '@fleam/core/values'
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

/** Bodies that were read and checked beside the server. */
export const readAside = new WeakSet<object>()

/** Listens to answers that are not as their schema says. */
export type OnOddAnswer = (odd: OddAnswer) => void

/** Answers that are longer are not looked through as a kitchen works: that would hold up whoever weighs. */
const LOOKED_THROUGH = 32_000

/**
 * Checks what comes in with the contract's schemas; refusals name every field. What is stored can always be read: an
 * answer that is odd all the same is told to `onOddAnswer`, and given as it is. Every answer is looked through where
 * `isStrict`, as tests are: there a field that no schema names is odd too.
 */
export function withSchemas(app: FastifyInstance, onOddAnswer: OnOddAnswer, isStrict: boolean) {
  app.setValidatorCompiler<z.ZodType>(({ schema }) => (data) => {
    if (typeof data === 'object' && data !== null && readAside.has(data)) return { value: data }
    const result = schema.safeParse(data)
    if (!result.success) return { error: invalidInput(result.error) }
    const broken = brokenText(data)
    return broken === null ? { value: result.data } : { error: refuseText(broken) }
  })
  app.setSerializerCompiler<z.ZodType>(({ schema, method, url }) => (data) => {
    const text = JSON.stringify(data)
    if (!isStrict && text.length > LOOKED_THROUGH) return text
    const { success, data: parsed, error } = schema.safeParse(data)
    if (!success) {
      // What was stored before days were held to our time is read all the same.
      if (error.issues.some(({ message }) => message !== NOT_OF_OUR_TIME)) onOddAnswer({ method, url, error })
    } else if (isStrict && JSON.stringify(parsed).length !== text.length) {
      const message = 'has a field that its schema does not name'
      onOddAnswer({ method, url, error: new z.ZodError([{ code: 'custom', path: [], message, input: data }]) })
    }
    return text
  })
  return app.withTypeProvider<ZodTypeProvider>()
}

function refuseText(path: string): Refusal {
  const message = HALF_A_CHARACTER
  return new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
}

/** Refuses, field by field, what would be stored and could then not be read as its schema says. */
export function requireReadable(schema: z.ZodType, whole: unknown): void {
  const result = schema.safeParse(whole)
  if (!result.success) throw invalidInput(result.error)
}
