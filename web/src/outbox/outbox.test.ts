import { Outbox, type OutboxOptions, type SendResult } from './outbox.ts'
import { type OutboxEntry, openOutboxStore } from './store.ts'

const entry = (id: string, fabricationId = 'f'): OutboxEntry => ({
  kitchenId: 'k',
  fabricationId,
  kind: 'reading',
  id,
  reading: { id, pileId: 'p', grams: 281, takenAt: '2026-11-24T08:00:00.000Z', source: 'scale', cook: null },
})
const withdrawal = (id: string, readingId: string): OutboxEntry => ({
  kitchenId: 'k',
  fabricationId: 'f',
  kind: 'void',
  id,
  void: { id, readingId, takenAt: '2026-11-24T08:00:00.000Z' },
})

let count = 0
/** An outbox on a database of its own, whose server answers as told and whose timers fire by hand. */
function newOutbox(answers: SendResult[], name = `outbox-${count++}`) {
  const sent: string[][] = []
  let fire = () => {}
  const waits: number[] = []
  const options: OutboxOptions = {
    store: openOutboxStore(name),
    send: async (_kitchen, _fabrication, { readings, voids, moves, marks }) => {
      sent.push([...readings, ...voids, ...moves, ...marks].map((each) => each.id))
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
const settle = () => new Promise((resolve) => setTimeout(resolve, 30))
const ids = (entries: readonly { id: string }[]) => entries.map((each) => each.id)

test('what is kept is sent once and then no longer waits', async () => {
  const { outbox, options, sent } = newOutbox([])
  await outbox.keep(entry('1'))
  await settle()
  expect(sent).toEqual([['1']])
  expect(outbox.state().waiting).toEqual([])
  expect(ids(outbox.state().stored)).toEqual(['1'])
  expect(ids(await options.store.all())).toEqual(['1'])
})

test('without a server everything waits, in order, and is sent when it is back', async () => {
  const { outbox, sent, waits, fire } = newOutbox([{ kind: 'away' }, { kind: 'away' }])
  await outbox.keep(entry('1'))
  await settle()
  await outbox.keep(entry('2'))
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
  await crashed.outbox.keep(entry('1'))
  await crashed.outbox.keep(withdrawal('2', '1'))
  await settle()
  const next = newOutbox([], crashed.name)
  await next.outbox.open()
  await settle()
  expect(next.sent).toEqual([['1', '2']])
})

test('one refused reading does not hold up the others', async () => {
  const refused: SendResult = { kind: 'refused', reason: 'no such pile' }
  const away: SendResult = { kind: 'away' }
  const { outbox, sent, fire } = newOutbox([away, refused, { kind: 'stored' }, refused, { kind: 'stored' }])
  await outbox.keep(entry('1'))
  await settle()
  for (const id of ['2', '3']) void outbox.keep(entry(id))
  await settle()
  fire()
  await settle()
  expect(sent.slice(1)).toEqual([['1', '2', '3'], ['1'], ['2'], ['3']])
  expect(ids(outbox.state().stored)).toEqual(['1', '3'])
  expect(outbox.state().refused.map((each) => [each.entry.id, each.reason])).toEqual([['2', 'no such pile']])
  await outbox.dismiss('2')
  expect(outbox.state().refused).toEqual([])
})

test('fabrications are sent apart', async () => {
  const { outbox, sent, fire } = newOutbox([{ kind: 'away' }])
  await outbox.keep(entry('1', 'a'))
  await settle()
  void outbox.keep(entry('2', 'b'))
  void outbox.keep(entry('3', 'a'))
  await settle()
  fire()
  await settle()
  expect(sent.slice(1)).toEqual([['1', '3'], ['2']])
})

test('what was stored is remembered for a day, for a page that opens without a network, and never sent again', async () => {
  const first = newOutbox([])
  const move: OutboxEntry = {
    kitchenId: 'k',
    fabricationId: 'f',
    kind: 'move',
    id: '2',
    move: { id: '2', readingId: '1', pileId: 'q', takenAt: '2026-11-24T08:00:01.000Z' },
  }
  await first.outbox.keep(entry('1'), move)
  await settle()
  const next = newOutbox([], first.name)
  await next.outbox.open()
  await settle()
  expect([ids(next.outbox.state().stored), next.sent]).toEqual([['1', '2'], []])
  const later = new Outbox({ ...next.options, nowMs: () => Date.now() + 25 * 3600 * 1000 })
  await later.open()
  expect([later.state().stored, await next.options.store.all()]).toEqual([[], []])
})
