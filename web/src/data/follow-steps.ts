import { type InputOf, requestOf } from '@fleam/contract/client'
import type { AnswerOf, Operation } from '@fleam/contract/operation'
import type { Problem } from '@fleam/contract/problem'
import { ApiProblem, Offline } from './api.ts'

type Step<T> = { progress: { done: number; of: number } } | { result: T } | { problem: Problem }

export interface Following {
  onProgress: (done: number, of: number) => void
  /** Breaks the work off: nothing of it is kept. */
  signal: AbortSignal
}

/** Sends something that takes long, and follows what is told of it line by line. */
export async function followSteps<O extends Operation>(
  operation: O,
  input: InputOf<O>,
  { onProgress, signal }: Following,
): Promise<AnswerOf<O>> {
  const { method, address, body } = requestOf(operation, input)
  const response = await fetch(address, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal,
  }).catch((error: Error) => {
    throw error.name === 'AbortError' ? error : new Offline(error.message)
  })
  if (!response.ok) throw new ApiProblem((await response.json()) as Problem)
  for await (const line of linesOf(response)) {
    const step = JSON.parse(line) as Step<AnswerOf<O>>
    if ('progress' in step) onProgress(step.progress.done, step.progress.of)
    else if ('problem' in step) throw new ApiProblem(step.problem)
    else return step.result
  }
  throw new Offline('The answer broke off.')
}

async function* linesOf(response: Response): AsyncGenerator<string> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = (await reader?.read()) ?? { done: true, value: undefined }
    if (done) break
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    yield* lines.filter((line) => line !== '')
  }
  if (rest !== '') yield rest
}
