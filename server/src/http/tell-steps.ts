import { Readable } from 'node:stream'
import type { Problem } from '@fleam/contract/problem'
import type { FastifyReply } from 'fastify'
import { problemOf } from './problems.ts'

/** One line of an answer that takes long: how far it is, and in the end what came of it. */
type Step<T> = { progress: { done: number; of: number } } | { result: T } | { problem: Problem }

export interface Steps {
  onProgress: (done: number, of: number) => void
  /** Whoever asked has gone: the work is broken off. */
  isCancelled: () => boolean
}

/** Answers line by line while the work goes on; a refusal on the way is the last line. */
export function tellSteps<T>(reply: FastifyReply, work: (steps: Steps) => Promise<T>) {
  const stream = new Readable({ objectMode: false, read() {} })
  const tell = (step: Step<T>) => stream.push(`${JSON.stringify(step)}\n`)
  let isGone = false
  reply.raw.once('close', () => {
    isGone = true
  })
  void work({ onProgress: (done, of) => tell({ progress: { done, of } }), isCancelled: () => isGone })
    .then(
      (result) => tell({ result }),
      (error: unknown) => {
        const problem = problemOf(error)
        if (problem.code === 'internal') reply.log.error(error)
        tell({ problem })
      },
    )
    .finally(() => stream.push(null))
  return reply.type('application/x-ndjson').send(stream)
}
