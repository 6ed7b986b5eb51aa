import { type InputOf, type OperationRequest, requestOf, requireAnswer } from '@fleam/contract/client'
import type { AnswerOf, Operation } from '@fleam/contract/operation'
import type { Problem } from '@fleam/contract/problem'

/** A refusal of the server, as it said it. */
export class ApiProblem extends Error {
  readonly problem: Problem

  constructor(problem: Problem) {
    super(problem.detail)
    this.problem = problem
  }
}

/** The server could not be reached at all. */
export class Offline extends Error {}

/** The server is there, and can store nothing for a while: without its database, without room on its disk, or with too much to do. */
const NOTHING_STORED: ReadonlySet<string> = new Set(['busy', 'database-away', 'disk-full'])

export const isOffline = (error: unknown): boolean =>
  error instanceof Offline || (error instanceof ApiProblem && NOTHING_STORED.has(error.problem.code))

const TIMEOUT_MS = 15_000

async function sendJson({ method, address, body }: OperationRequest): Promise<unknown> {
  const response = await fetch(address, {
    method,
    signal: AbortSignal.timeout(TIMEOUT_MS),
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  }).catch((error: Error) => {
    throw new Offline(error.message)
  })
  if (response.ok) return response.json()
  throw await problemOf(response)
}

async function problemOf(response: Response): Promise<Error> {
  if (response.headers.get('content-type')?.includes('application/problem+json')) {
    return new ApiProblem((await response.json()) as Problem)
  }
  // A proxy or a server that is starting answers in its own words.
  return response.status >= 500 ? new Offline(`status ${response.status}`) : new Error(`status ${response.status}`)
}

/** Asks for an operation: throws `ApiProblem` where it is refused, and `Offline` where nobody answers. */
export async function call<O extends Operation>(operation: O, input: InputOf<O>): Promise<AnswerOf<O>> {
  const answer = await sendJson(requestOf(operation, input))
  return process.env.NODE_ENV === 'development' ? requireAnswer(operation, answer) : (answer as AnswerOf<O>)
}
