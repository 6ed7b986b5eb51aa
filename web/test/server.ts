/** A stand-in for the server's answers: what is asked for, by method and path. */
export interface Asked {
  method: string
  path: string
  body: unknown
}

type Answer = { status?: number; body: unknown } | 'cut'

/** An answer, or what is answered by the path where a question stands behind it. */
type Answers = Readonly<Record<string, Answer | ((path: string) => Answer)>>

/** The answer of a request: of its path, or of what stands before its question, as `GET /api/lists?`. */
function answerOf(answers: Answers, method: string, path: string): Answer {
  const found = answers[`${method} ${path}`] ?? answers[`${method} ${path.split('?')[0]}?`] ?? 'cut'
  return typeof found === 'function' ? found(path) : found
}

/** Answers requests by `METHOD path`; anything else is a missing network. Returns what was asked. */
export function answerWith(answers: Answers): Asked[] {
  const asked: Asked[] = []
  globalThis.fetch = (async (path: string, options: RequestInit = {}) => {
    const method = options.method ?? 'GET'
    asked.push({ method, path, body: options.body ? JSON.parse(String(options.body)) : undefined })
    const answer = answerOf(answers, method, path)
    if (answer === 'cut') throw new TypeError('network')
    const status = answer.status ?? 200
    const type = status < 400 ? 'application/json' : 'application/problem+json'
    return { ok: status < 400, status, headers: new Headers({ 'content-type': type }), json: async () => answer.body }
  }) as typeof fetch
  AbortSignal.timeout ??= () => new AbortController().signal
  return asked
}

export const problemOf = (code: string, status: number, issues: { path: string; message: string }[] = []) => ({
  status,
  body: {
    type: `/problems/${code}`,
    title: 'A refusal',
    status,
    code,
    detail: 'because',
    issues,
    kept: 'Nothing was changed.',
  },
})
