import { z } from 'zod'
import type { AnswerOf, Operation, ParamsOf } from './operation.ts'

/** A part of a request under its name; it may be left out where all of it may be. */
type Part<Name extends string, Schema> = Schema extends z.ZodType
  ? Record<never, never> extends z.input<Schema>
    ? { [N in Name]?: z.input<Schema> }
    : { [N in Name]: z.input<Schema> }
  : unknown

/** What an operation is asked with: parameters of its path by their names, its query and its body. */
export type InputOf<O extends Operation> = ParamsOf<O> & Part<'query', O['query']> & Part<'body', O['body']>

/** A request as it is sent. */
export interface OperationRequest {
  method: Operation['method']
  /** From the first slash on. */
  address: string
  body: unknown
}

interface LooseInput {
  query?: Readonly<Record<string, unknown>>
  body?: unknown
  [param: string]: unknown
}

/** Parts of a query as they stand in an address: what is null or empty is left out, and a list is repeated. */
function searchOf(query: Readonly<Record<string, unknown>>): string {
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries(query)) {
    for (const part of [value ?? []].flat()) if (String(part) !== '') search.append(name, String(part))
  }
  return search.size > 0 ? `?${search}` : ''
}

/** Where an operation answers, from the first slash on. */
export function addressOf<O extends Operation>(operation: O, input: Omit<InputOf<O>, 'body'>): string {
  const { query = {}, ...params } = input as LooseInput
  const path = operation.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(params[name])))
  return `${path}${searchOf(query)}`
}

/** The request of an operation: its method, its address from the first slash on, its body. */
export const requestOf = <O extends Operation>(operation: O, input: InputOf<O>): OperationRequest => ({
  method: operation.method,
  address: addressOf(operation, input),
  body: (input as LooseInput).body,
})

/**
 * What stands for an answer where answers are remembered: the kitchen, the capability, the operation, and what it was asked
 * with. Whoever asks for less of it stands for all that begin so.
 */
export function keyOf(operation: Operation, input: object): readonly unknown[] {
  const { kitchenId, query, body: _body, ...params } = input as LooseInput
  return [
    ...(kitchenId === undefined ? [] : ['kitchen', kitchenId]),
    ...[operation.capability, operation.id],
    ...[params, query ?? {}].filter((part) => Object.keys(part).length > 0),
  ]
}

/** Throws where an answer is not as its operation says: for tests and development. */
export function requireAnswer<O extends Operation>(operation: O, answer: unknown): AnswerOf<O> {
  if (operation.answer instanceof z.ZodType) {
    const { error } = operation.answer.safeParse(answer)
    if (error) throw new Error(`${operation.id} does not answer as it says: ${error.message}`)
  }
  return answer as AnswerOf<O>
}
