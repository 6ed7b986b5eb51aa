/** A stand-in for the server's answers: what is asked for, by method and path. */
export interface Asked {
  method: string
  path: string
  body: unknown
}

type Answer = { status?: number; body: unknown } | 'cut'

/** Answers requests by `METHOD path`; anything else is a missing network. Returns what was asked. */
export function answerWith(answers: Readonly<Record<string, Answer>>): Asked[] {
  const asked: Asked[] = []
  globalThis.fetch = (async (path: string, options: RequestInit = {}) => {
    const method = options.method ?? 'GET'
    asked.push({ method, path, body: options.body ? JSON.parse(String(options.body)) : undefined })
    const answer = answers[`${method} ${path}`] ?? 'cut'
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
