import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { type InputOf, requestOf } from '@fleam/contract/client'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { factOperations } from '@fleam/contract/facts/operations'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { startOperations } from '@fleam/contract/new-records/operations'
import type { AnswerOf, Operation } from '@fleam/contract/operation'
import { styleOperations } from '@fleam/contract/style/operations'
import type { Reading } from '@fleam/core/facts'
import type { Style } from '@fleam/core/style'
import { v7 as newId } from 'uuid'

/** Between two weighings of one device: quicker than any cook, so that many are under way at any moment. */
const WEIGH_MS = 15
const RETRY_MS = 50
const ANSWER_MS = 3_000
/** Readings of one record: beyond them the next one is started, so that reading it back stays quick. */
const MAX_OF_RECORD = 3_000

/** A bench where devices weigh. */
interface Bench {
  kitchenId: string
  fabricationId: string
  pileId: string
}

/** Asks for an operation, and answers with the status and the body; null where nobody answered in time. */
export async function ask<O extends Operation>(url: string, operation: O, input: InputOf<O>) {
  const { method, address, body } = requestOf(operation, input)
  try {
    const response = await fetch(url + address, {
      method,
      signal: AbortSignal.timeout(ANSWER_MS),
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
    return { status: response.status, body: await response.json() }
  } catch {
    return null
  }
}

/** Weighing is back before what takes long is: whoever asks for that waits so long. */
const PATIENCE_MS = 30_000
const AGAIN_MS = 200

/** Asks until it is answered with success, as somebody at a desk does while a server comes up; what is created has its id. */
export async function must<O extends Operation>(url: string, operation: O, input: InputOf<O>): Promise<AnswerOf<O>> {
  const end = Date.now() + PATIENCE_MS
  for (;;) {
    const answer = await ask(url, operation, input)
    if (answer !== null && answer.status < 300) return answer.body as AnswerOf<O>
    if (Date.now() > end) throw new Error(`${operation.id}: ${JSON.stringify(answer)?.slice(0, 300)}`)
    await sleep(AGAIN_MS)
  }
}

interface OpenKitchen {
  kitchenId: string
  style: Style
}

/** Opens a kitchen to weigh in. */
export async function openKitchen(url: string): Promise<OpenKitchen> {
  const kitchenId = randomUUID()
  const setUp = { name: `Faults ${kitchenId.slice(0, 8)}`, currency: 'EUR', units: 'metric' as const, timeZone: 'UTC' }
  await must(url, kitchenOperations.setUpKitchen, { body: { id: kitchenId, ...setUp, wagePerHour: 20 } })
  const [item] = await must(url, styleOperations.listItems, { kitchenId })
  return { kitchenId, style: item?.styles[0] as Style }
}

/** Devices that weigh without a pause as an outbox does: kept first, sent until it is acknowledged. */
export class Devices {
  readonly #openKitchen: () => Promise<OpenKitchen>
  #kitchen: OpenKitchen | null = null
  readonly #url: string
  /** Readings by id that the server has acknowledged, and those that were sent and may be there. */
  readonly acknowledged = new Map<string, string>()
  readonly sent = new Set<string>()
  readonly refusals: string[] = []
  /** How often each status was answered, with the code of its refusal. */
  readonly answers = new Map<string, number>()
  readonly #benches: Bench[] = []
  #isOver = false
  #working: Promise<void>[] = []

  constructor(url: string, open: () => Promise<OpenKitchen>) {
    this.#url = url
    this.#openKitchen = open
  }

  /** Begins a record, and so many devices at its bench. */
  async start(count: number): Promise<void> {
    this.#kitchen = await this.#openKitchen()
    await this.#nextBench()
    this.#working = Array.from({ length: count }, () => this.#weigh())
  }

  async stop(): Promise<void> {
    this.#isOver = true
    await Promise.all(this.#working)
  }

  async #nextBench(): Promise<Bench> {
    const { kitchenId, style } = this.#kitchen as OpenKitchen
    const body = {
      id: newId(),
      styleId: style.id,
      units: 6,
      purchase: { price: { amount: 3.1, per: 'kg' as const }, invoiceWeight: 12_600 },
      cookId: null,
      supplierId: null,
      lot: null,
      date: '2026-11-26',
      startedAt: new Date().toISOString(),
    }
    const { record } = await must(this.#url, startOperations.startFabrication, { kitchenId, body })
    const bench = { kitchenId, fabricationId: record.id, pileId: record.piles[0]?.id as string }
    this.#benches.push(bench)
    return bench
  }

  async #weigh(): Promise<void> {
    for (let order = 1; !this.#isOver; order++) {
      const bench = this.#benches.at(-1) as Bench
      const reading: Reading = {
        kind: 'reading',
        id: newId(),
        order,
        takenAt: new Date().toISOString(),
        fabricationId: bench.fabricationId,
        pileId: bench.pileId,
        grams: 200 + (order % 150),
        source: 'scale',
        cookId: null,
        pieces: null,
      }
      this.sent.add(reading.id)
      await this.#sendUntilKept(reading)
      await sleep(WEIGH_MS)
    }
  }

  async #sendUntilKept(reading: Reading): Promise<void> {
    const { kitchenId } = this.#kitchen as OpenKitchen
    for (;;) {
      const answer = await ask(this.#url, factOperations.createFacts, { kitchenId, body: { facts: [reading] } })
      const answered = answer ? [answer.status, answer.body.code].join(' ').trim() : 'no answer'
      this.answers.set(answered, (this.answers.get(answered) ?? 0) + 1)
      if (answer?.status === 200 && answer.body.kept.includes(reading.id)) {
        this.acknowledged.set(reading.id, reading.fabricationId)
        return
      }
      // What is refused for good would be lost to the cook: none of these may be.
      if (this.#isOver) return
      if (answer && answer.status < 500) {
        this.refusals.push(JSON.stringify(answer.body).slice(0, 300))
        return
      }
      await sleep(RETRY_MS)
    }
  }

  /** Goes on at a new record where the one before has become long. */
  async turnOver(): Promise<void> {
    const last = this.#benches.at(-1) as Bench
    const count = [...this.acknowledged.values()].filter((id) => id === last.fabricationId).length
    if (count > MAX_OF_RECORD) await this.#nextBench()
  }

  /** Reads everything back: acknowledged readings that are not there, that are there twice, and that nobody sent. */
  async check(): Promise<{ lost: number; doubled: number; strange: number }> {
    const there = new Map<string, number>()
    for (const { kitchenId, fabricationId } of this.#benches) {
      const state = await must(this.#url, fabricationOperations.readFabrication, { kitchenId, fabricationId })
      for (const { id } of state.facts) there.set(id, (there.get(id) ?? 0) + 1)
    }
    return {
      lost: [...this.acknowledged.keys()].filter((id) => !there.has(id)).length,
      doubled: [...there.values()].filter((count) => count > 1).length,
      strange: [...there.keys()].filter((id) => !this.sent.has(id)).length,
    }
  }
}
