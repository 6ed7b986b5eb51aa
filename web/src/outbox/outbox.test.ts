import type { Fact, FactVoid, ReadingMove } from '@fleam/core/facts'
import { openDB } from 'idb'
import { factVoid, move, reading } from '../../../core/test/facts.ts'
import { Outbox, type OutboxOptions, type SendResult } from './outbox.ts'
import { openOutboxStore } from './store.ts'

const weighed = (id: string, order = 1) => reading(id, 'p', 281, { order })
const inKitchen = { a: 'kitchen a', b: 'kitchen b' }

let count = 0
/** An outbox on a database of its own, whose server answers as told and whose timers fire by hand. */
function newOutbox(answers: SendResult[], name = `outbox-${count++}`) {
  const sent: string[][] = []
  let fire = () => {}
  const waits: number[] = []
  const options: OutboxOptions = {
    store: openOutboxStore(name),
    send: async (_kitchen, facts) => {
      sent.push(facts.map((fact) => fact.id))
      return answers.shift() ?? { kind: 'stored' }
    },
    timers: {
      after: (ms, callback) => {
        waits.push(ms)
        fire = callback
        return () => {}
      },
    },
  }
  return { outbox: new Outbox(options), options, name, sent, waits, fire: () => fire() }
}
const TURNS = 12
/** Until what was begun is done: the store answers some turns later. */
const settle = async () => {
  for (let turn = 0; turn < TURNS; turn++) await new Promise((resolve) => setTimeout(resolve))
}
const ids = (entries: readonly { id: string }[]) => entries.map((entry) => entry.id)

test('what is kept is sent once and then no longer waits', async () => {
  const { outbox, options, sent } = newOutbox([])
  await outbox.keep('k', weighed('1'))
  await settle()
  expect(sent).toEqual([['1']])
  expect(outbox.state().waiting).toEqual([])
  expect(ids(outbox.state().stored)).toEqual(['1'])
  expect(ids(await options.store.all())).toEqual(['1'])
})

test('what a crash could lose does not wait yet; what cannot be written is shown and sent all the same', async () => {
  const { outbox, options, sent } = newOutbox([])
  const kept = outbox.keep('k', weighed('1'))
  expect([ids(outbox.state().writing), outbox.state().waiting]).toEqual([['1'], []])
  expect(await kept).toBe(true)
  expect(outbox.state().writing).toEqual([])
  await settle()
  options.store.put = () => Promise.reject(new Error('the disk is full'))
  expect(await outbox.keep('k', weighed('2', 2))).toBe(false)
  await settle()
  expect([sent, outbox.state().waiting]).toEqual([[['1'], ['2']], []])
})

test('a store that never answers holds up no weighing: it is shown, sent, and said not to be written', async () => {
  const { options, sent } = newOutbox([])
  options.store.put = () => new Promise(() => {})
  const outbox = new Outbox({ ...options, writeMs: 5 })
  expect(await outbox.keep('k', weighed('1'))).toBe(false)
  expect(await outbox.keep('k', weighed('2', 2))).toBe(false)
  while (outbox.state().waiting.length > 0) await settle()
  expect([outbox.state().writing, sent]).toEqual([[], [['1'], ['2']]])
})

test('without a server everything waits, in order, and is sent when it is back', async () => {
  const { outbox, sent, waits, fire } = newOutbox([{ kind: 'away' }, { kind: 'away' }])
  await outbox.keep('k', weighed('1'))
  await settle()
  await outbox.keep('k', weighed('2'))
  await settle()
  expect(ids(outbox.state().waiting)).toEqual(['1', '2'])
  fire()
  await settle()
  expect(sent.at(-1)).toEqual(['1', '2'])
  expect(outbox.state().waiting).toEqual([])
  expect(waits[1]).toBeGreaterThan(waits[0] as number)
})

test('a page that crashed leaves its readings to the next one', async () => {
  const crashed = newOutbox([{ kind: 'away' }, { kind: 'away' }, { kind: 'away' }])
  await crashed.outbox.keep('k', weighed('1'))
  await crashed.outbox.keep('k', factVoid('2', '1'))
  await settle()
  const next = newOutbox([], crashed.name)
  await next.outbox.open()
  await settle()
  expect(next.sent).toEqual([['1', '2']])
})

test('one refused fact does not hold up the others', async () => {
  const refused: SendResult = { kind: 'refused', reason: 'no such pile' }
  const away: SendResult = { kind: 'away' }
  const { outbox, sent, fire } = newOutbox([away, refused, { kind: 'stored' }, refused, { kind: 'stored' }])
  await outbox.keep('k', weighed('1'))
  await settle()
  void outbox.keep('k', weighed('2'), weighed('3'))
  await settle()
  fire()
  await settle()
  expect(sent.slice(1)).toEqual([['1', '2', '3'], ['1'], ['2'], ['3']])
  expect(ids(outbox.state().stored)).toEqual(['1', '3'])
  expect(outbox.state().refused.map((refusal) => [refusal.entry.id, refusal.reason])).toEqual([['2', 'no such pile']])
  await outbox.dismiss('2')
  expect(outbox.state().refused).toEqual([])
})

test('a list is answered one by one: what is refused is told, and the rest is stored', async () => {
  const answer: SendResult = { kind: 'stored', refused: [{ at: 1, reason: 'no such pile' }] }
  const { outbox, sent, fire } = newOutbox([{ kind: 'away' }, answer])
  await outbox.keep('k', weighed('1'))
  await settle()
  void outbox.keep('k', weighed('2'), weighed('3'))
  await settle()
  fire()
  await settle()
  expect(sent.slice(1)).toEqual([['1', '2', '3']])
  expect([ids(outbox.state().waiting), ids(outbox.state().stored)]).toEqual([[], ['1', '3']])
  expect(outbox.state().refused.map((refusal) => [refusal.entry.id, refusal.reason])).toEqual([['2', 'no such pile']])
})

test('kitchens are sent apart', async () => {
  const { outbox, sent, fire } = newOutbox([{ kind: 'away' }, { kind: 'away' }, { kind: 'away' }])
  await outbox.keep(inKitchen.a, weighed('1'))
  await settle()
  void outbox.keep(inKitchen.b, weighed('2'))
  void outbox.keep(inKitchen.a, weighed('3'))
  await settle()
  fire()
  await settle()
  expect(sent.slice(3)).toEqual([['1', '3'], ['2']])
})

test('what was stored is remembered for a day, for a page that opens without a network, and never sent again', async () => {
  const first = newOutbox([])
  await first.outbox.keep('k', weighed('1'), move('2', '1', 'q', 2))
  await settle()
  const next = newOutbox([], first.name)
  await next.outbox.open()
  await settle()
  expect([ids(next.outbox.state().stored), next.sent]).toEqual([['1', '2'], []])
  const later = new Outbox({ ...next.options, nowMs: () => Date.now() + 25 * 3600 * 1000 })
  await later.open()
  expect([later.state().stored, await next.options.store.all()]).toEqual([[], []])
})

test('the next place in the order comes after everything that the device knows, and never twice', async () => {
  const { outbox, name } = newOutbox([{ kind: 'away' }])
  expect([outbox.takeOrder(), outbox.takeOrder()]).toEqual([1, 2])
  expect(outbox.takeOrder([{ order: 40 }])).toBe(41)
  expect(outbox.takeOrder([{ order: 40 }])).toBe(42)
  await outbox.keep('k', weighed('1', 90))
  const next = newOutbox([{ kind: 'away' }], name)
  await next.outbox.open()
  expect(next.outbox.takeOrder()).toBe(91)
})

test('what the version before kept on this device is carried over, whole and in its order', async () => {
  const name = `outbox-${count++}`
  const old = await openDB(name, 1, { upgrade: (fresh) => void fresh.createObjectStore('entries', { keyPath: 'id' }) })
  const place = { kitchenId: 'k', fabricationId: 'f' }
  const takenAt = '2026-11-24T08:00:00.000Z'
  const grams = 1000.7 - 640.3
  await old.put('entries', {
    ...place,
    id: '1',
    kind: 'reading',
    reading: { id: '1', pileId: 'p', grams, takenAt, source: 'scale', cook: 'Ondine' },
  })
  await old.put('entries', { ...place, id: '2', kind: 'move', move: { id: '2', readingId: '1', pileId: 'q', takenAt } })
  await old.put('entries', {
    ...place,
    id: '3',
    kind: 'mark',
    mark: { id: '3', kind: 'labour-start', cook: 'Ondine', ratePerHour: 20, step: null, takenAt },
  })
  await old.put('entries', {
    ...place,
    id: '4',
    kind: 'void',
    void: { id: '4', readingId: '1', takenAt },
    storedAtMs: Date.now(),
  })
  old.close()
  const { outbox, sent } = newOutbox([], name)
  await outbox.open()
  await settle()
  expect(sent).toEqual([['1', '2', '3']])
  const facts: Fact[] = [...outbox.state().stored].sort((a, b) => (a.id < b.id ? -1 : 1)).map(({ fact }) => fact)
  expect(facts[0]).toMatchObject({ kind: 'reading', fabricationId: 'f', pileId: 'p', grams: 360.4, source: 'scale' })
  expect(facts[1] as ReadingMove).toMatchObject({ kind: 'move', id: '2', readingId: '1', pileId: 'q' })
  expect(facts[2]).toMatchObject({ kind: 'mark', mark: 'labour-start', ratePerHour: 20 })
  expect(facts[3] as FactVoid).toMatchObject({ kind: 'void', factId: '1' })
  expect(facts.map((fact) => fact.order)).toEqual([...facts.map((fact) => fact.order)].sort((a, b) => a - b))
})
