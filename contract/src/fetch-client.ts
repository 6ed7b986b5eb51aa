import { z } from 'zod'
import { type InputOf, requestOf, requireAnswer } from './client.ts'
import type { AnswerOf, Operation } from './operation.ts'
import { type Problem, problem } from './problem.ts'

/** Asks for an operation; throws `RefusedCall` where it is refused. */
export type Call = <O extends Operation>(operation: O, input: InputOf<O>) => Promise<AnswerOf<O>>

function readJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** An operation was refused; without a problem where something else than Fleam answered. */
export class RefusedCall extends Error {
  readonly status: number
  readonly problem: Problem | null

  constructor(operation: Operation, status: number, text: string) {
    super(`${operation.id} was answered with ${status}: ${text.slice(0, 500)}`)
    this.status = status
    this.problem = problem.safeParse(readJson(text)).data ?? null
  }
}

/** The result of an operation that tells its steps line by line: it stands in the last line. */
function resultOf(operation: Operation, text: string): unknown {
  const { result, problem } = JSON.parse(text.trim().split('\n').at(-1) as string)
  if (problem) throw new RefusedCall(operation, problem.status, JSON.stringify(problem))
  return result
}

/**
 * Asks a running Fleam for operations, as any client would. Every answer is checked by its schema; files come as text, and
 * of what tells its steps the result.
 */
export const callAt =
  (base: string): Call =>
  async <O extends Operation>(operation: O, input: InputOf<O>): Promise<AnswerOf<O>> => {
    const { method, address, body } = requestOf(operation, input)
    const response = await fetch(`${base}${address}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
    const text = await response.text()
    if (!response.ok) throw new RefusedCall(operation, response.status, text)
    const { answer } = operation
    if (answer instanceof z.ZodType) return requireAnswer(operation, JSON.parse(text))
    return ('result' in answer ? resultOf(operation, text) : text) as AnswerOf<O>
  }
