import { issuesOf, PROBLEMS, type Problem, type ProblemCode } from '@fleam/contract/problem'
import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import type { z } from 'zod'
import { databaseCode, isDatabaseAway, isDiskFull } from '../database/index.ts'
import type { DiskWatch } from './disk-watch.ts'

export interface RefusalOptions {
  issues?: Problem['issues']
  kept?: string
  current?: unknown
}

/** Nobody mends more at once, and an answer about a mistake must not be larger than the mistake. */
export const MAX_ISSUES = 20
const NOTHING_CHANGED = 'Nothing was changed.'

/** Something that the API refuses, with a code from the contract's catalogue. */
export class Refusal extends Error {
  readonly code: ProblemCode
  readonly options: RefusalOptions

  constructor(code: ProblemCode, detail: string, options: RefusalOptions = {}) {
    super(detail)
    this.code = code
    this.options = options
  }
}

/** A refusal with 404 that names what is not there. */
export const notFound = (what: string) => new Refusal('not-found', `This kitchen has no such ${what}.`)

/** A failed parse of a body, a parameter or a query, with the path of every field. */
export function invalidInput(error: z.ZodError): Refusal {
  const issues = issuesOf(error)
  const first = issues[0]
  const where = first?.path ? `${first.path} ${first.message}` : (first?.message ?? 'unreadable')
  const more = issues.length > 1 ? ` (and ${issues.length - 1} more)` : ''
  return new Refusal('invalid-input', `${where}${more}`, { issues: issues.slice(0, MAX_ISSUES) })
}

const FASTIFY_CODES: Readonly<Record<string, ProblemCode>> = {
  FST_ERR_CTP_BODY_TOO_LARGE: 'too-large',
  FST_ERR_CTP_INVALID_MEDIA_TYPE: 'wrong-media-type',
  FST_ERR_CTP_INVALID_JSON_BODY: 'not-json',
  FST_ERR_CTP_EMPTY_JSON_BODY: 'not-json',
  FST_ERR_CTP_INVALID_CONTENT_LENGTH: 'not-json',
}

/** What the database refuses because of what others do at the same time; nothing of it was kept. */
const OTHERS_WERE_FASTER: Readonly<Record<string, { code: ProblemCode; detail: string }>> = {
  ER_NO_REFERENCED_ROW_2: { code: 'not-found', detail: 'Something that this belongs to is not there any more.' },
  ER_ROW_IS_REFERENCED_2: { code: 'busy', detail: 'Something that belongs to it was added meanwhile: try again.' },
  ER_LOCK_WAIT_TIMEOUT: { code: 'busy', detail: 'Others have been changing the same for long: try again in a moment.' },
  ER_LOCK_DEADLOCK: { code: 'busy', detail: 'Others are changing the same: try again in a moment.' },
}

const noRoom = () =>
  new Refusal('disk-full', 'Make room on its disk: it goes on by itself.', {
    kept: 'What was stored before is safe. Nothing of this was stored: devices keep it and send it again.',
  })

function refusalOf(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error
  if (isDiskFull(error)) return noRoom()
  if (isDatabaseAway(error)) {
    return new Refusal('database-away', 'Try again in a moment.', {
      // It may have gone away between the commit and its answer.
      kept: 'What was stored before is safe. Whether this was stored is not known: sent again as it is, it is there once.',
    })
  }
  const other = OTHERS_WERE_FASTER[databaseCode(error) ?? '']
  if (other) return new Refusal(other.code, other.detail)
  const code = FASTIFY_CODES[(error as FastifyError).code]
  if (code) return new Refusal(code, (error as Error).message)
  // Half an upload or a body that is not JSON: Fastify marks these with the status alone.
  const status = (error as FastifyError).statusCode
  return status !== undefined && status >= 400 && status < 500
    ? new Refusal('not-json', (error as Error).message)
    : null
}

function bodyOf({ code, message, options }: Refusal): Problem {
  const { status, title } = PROBLEMS[code]
  return {
    type: `/problems/${code}`,
    title,
    status,
    code,
    detail: message,
    issues: options.issues ?? [],
    kept: options.kept ?? NOTHING_CHANGED,
    ...(options.current === undefined ? {} : { current: options.current }),
  }
}

/** It may have happened after the commit: nobody is told that nothing changed. */
const mistake = () =>
  new Refusal('internal', 'It has been written to the log.', {
    kept: 'Whether it was stored is not known: look again before sending it anew.',
  })

/** What an error is to a client whose answer has begun already. */
export const problemOf = (error: unknown): Problem => bodyOf(refusalOf(error) ?? mistake())

function send(reply: FastifyReply, refusal: Refusal) {
  const body = bodyOf(refusal)
  const { status } = body
  if (status === 503) reply.header('retry-after', '1')
  return reply.status(status).type('application/problem+json').send(JSON.stringify(body))
}

/** Makes every refusal `application/problem+json`, and every mistake of our own a logged 500 without inner details. */
export function answerWithProblems(app: FastifyInstance, disk?: DiskWatch): void {
  app.setErrorHandler(async (error, request, reply) => {
    let refusal = refusalOf(error)
    if (refusal?.code === 'disk-full') disk?.sawNoRoom()
    // A database without room may end: what is to be done then is the disk's matter.
    if (refusal?.code === 'database-away' && (await disk?.isFull())) refusal = noRoom()
    if (!refusal) request.log.error(error)
    return send(reply, refusal ?? mistake())
  })
}

/** What the router itself refuses, before any route is asked: an address that nobody can read leads nowhere. */
export const sendFrameworkError = (error: FastifyError, request: FastifyRequest, reply: FastifyReply) =>
  send(reply, new Refusal('not-found', `Nothing answers at ${request.url.slice(0, LONGEST_TOLD)}: ${error.message}`))
const LONGEST_TOLD = 200

/** Answers with 404 for a path that no operation and no page has. */
export const sendNotFound = (reply: FastifyReply, path: string) =>
  send(reply, new Refusal('not-found', `Nothing answers at ${path}.`))

/** Runs an insert or update; where the database says that a name or id is there already, refuses that field. */
export async function refuseTaken<T>(path: string, detail: string, write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (error) {
    if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    throw new Refusal('id-taken', detail, { issues: [{ path, message: 'is taken' }] })
  }
}

/** Made again under an id: the same is answered as the first time, anything else is refused and nothing is said to be kept. */
export function refuseOtherContent(isSame: boolean, path = 'id'): void {
  if (isSame) return
  throw new Refusal('id-taken', 'This id stands for something else already.', {
    issues: [{ path, message: 'is taken' }],
  })
}

/** A body names its thing as its address does, or is refused. */
export function refuseOtherId(path: string, inBody: string, inAddress: string): void {
  if (inBody === inAddress) return
  const message = 'does not agree with the address'
  throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
}
