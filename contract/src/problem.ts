import { z } from 'zod'

/**
 * Every refusal the API makes: a stable code, its HTTP status and what it means.
 * Callers test the code, never the text.
 */
export const PROBLEMS = {
  'invalid-input': { status: 400, title: 'Check the highlighted field' },
  'not-json': { status: 400, title: 'This is not whole JSON' },
  'too-large': { status: 413, title: 'This is too large' },
  'wrong-media-type': { status: 415, title: 'Send JSON' },
  'not-found': { status: 404, title: 'There is no such thing here' },
  'stale-version': { status: 409, title: 'Somebody changed it meanwhile' },
  'id-taken': { status: 409, title: 'This id stands for something else already' },
  'pile-unknown': { status: 422, title: 'This fabrication has no such pile' },
  'name-unknown': { status: 422, title: 'A name in it is not known here' },
  'price-list-wrong': { status: 422, title: 'This price list cannot be taken in' },
  'other-host': { status: 421, title: 'This server is not reached by that name' },
  'other-site': { status: 403, title: 'This came from another site' },
  cancelled: { status: 409, title: 'It was broken off' },
  'feed-away': { status: 503, title: 'The price feed does not answer' },
  'scale-away': { status: 503, title: 'The scale does not answer' },
  'not-a-stand-in': { status: 409, title: 'This scale is a real one' },
  'disk-full': { status: 503, title: 'The disk of the server is full' },
  busy: { status: 503, title: 'Too much is asked for at once' },
  'database-away': { status: 503, title: 'The database does not answer' },
  internal: { status: 500, title: 'Fleam made a mistake' },
} as const
export type ProblemCode = keyof typeof PROBLEMS

export const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    code: z.enum(Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]]),
    detail: z.string(),
    /** What was wrong, field by field. */
    issues: z.array(z.object({ path: z.string(), message: z.string() })),
    /** What was kept, and what was not changed. */
    kept: z.string(),
    /** With `stale-version`: the record as it is now; with `name-unknown`: each open name and what it may be. */
    current: z.unknown().optional(),
  })
  .meta({ id: 'Problem' })
export type Problem = z.infer<typeof problem>

/** `piles[2].weight`: the field as a reader would point at it. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`
    return text === '' ? String(step) : `${text}.${String(step)}`
  }, '')
}

/** Unknown fields of one thing that are named: nobody mends more at once. */
const MAX_NAMED = 20

/** Issues of a failed parse with the path of each field; an unknown field is named itself. */
export function issuesOf(error: z.ZodError): Problem['issues'] {
  return error.issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.slice(0, MAX_NAMED).map((key) => ({
        path: pathText([...issue.path, key]),
        message: 'is not a field that Fleam knows',
      }))
    }
    return [{ path: pathText(issue.path), message: issue.message }]
  })
}
