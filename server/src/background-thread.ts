import { readlinkSync } from 'node:fs'
import { setPriority } from 'node:os'
import { workerData } from 'node:worker_threads'
import { buildApp } from './app.ts'
import type { AnswerPart, BackgroundOptions, HandedTask } from './background/index.ts'
import { openDatabase } from './database/index.ts'
import { ScaleGateway } from './scale/index.ts'

/** Behind whoever weighs: the system gives this thread its turn after the server's own. */
const NICENESS = 10

try {
  // The number by which the system knows this thread alone.
  setPriority(Number(readlinkSync('/proc/thread-self').split('/').at(-1)), NICENESS)
} catch {
  // A system that has no such thing gives all threads the same turn.
}

const { databaseUrl, disk } = workerData as Pick<BackgroundOptions, 'databaseUrl' | 'disk'>
/** The same server without a door of its own: what it answers is what the server would have answered. */
const opening = buildApp({
  database: openDatabase(databaseUrl),
  scale: new ScaleGateway(null),
  disk,
  logger: { level: 'warn' },
})

/** Answers one request, part by part, on the port that came with it. */
export default async function answer({ request, port }: HandedTask): Promise<void> {
  const app = await opening
  let isGone = false
  let leave = () => {}
  port.on('message', () => {
    isGone = true
    leave()
  })
  const tell = (part: AnswerPart) => port.postMessage(part)
  const { method, url, headers, body } = request
  try {
    const response = await app.inject({
      ...{ method: method as 'GET', url, headers, payloadAsStream: true },
      ...(body === null ? {} : { payload: Buffer.from(body) }),
    })
    // Whoever works step by step listens for the end of its connection, as it would of a real one.
    leave = () => void response.raw.res.emit('close')
    if (isGone) leave()
    const sentHeaders = Object.entries(response.headers).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, typeof value === 'number' ? String(value) : value] as const],
    )
    tell({ head: { status: response.statusCode, headers: Object.fromEntries(sentHeaders) } })
    for await (const chunk of response.stream()) tell({ chunk })
  } catch (error) {
    // What broke off because nobody waits is no failure of the thread.
    if (!isGone) throw error
  } finally {
    tell({ end: true })
    port.close()
  }
}
