import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { ScaleReading, ScaleStatus } from '@fleam/contract/scale/scale-line'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, renderHook } from '@testing-library/react'
import type { ReactNode } from 'react'
import { SIX_BIRDS } from '../../../../../core/test/planned.ts'
import { LARCH_HALT } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { allWritten } from '../../../../test/written.ts'
import { KitchenContext } from '../../../data/kitchen-context.ts'
import { useBench } from './use-bench.ts'

let tell: (status: ScaleStatus) => void = () => {}
class StreamOfScale {
  onmessage: ((event: { data: string }) => void) | null = null
  constructor() {
    tell = (status) => this.onmessage?.({ data: JSON.stringify(status) })
  }
  close() {}
}
Object.assign(globalThis, { EventSource: StreamOfScale })

const STEPS = [
  { id: 'dry', pileIds: [] },
  { id: 'divide', pileIds: ['drumsticks'] },
  { id: 'thighs', pileIds: ['thighs'] },
  { id: 'breasts', pileIds: ['supremes'] },
  { id: 'carcass', pileIds: ['bones', 'bin'] },
]

let count = 0
/** A bench of one bird, whose server is out of reach: everything stays on the device. */
async function openBench() {
  answerWith({})
  const piles = SIX_BIRDS.piles.map((pile) => ({ ...pile, portions: pile.portions === null ? null : 2 }))
  const state = {
    record: {
      id: `bench-${count++}`,
      status: 'open',
      currency: 'EUR',
      species: 'poultry',
      units: 1,
      rhythm: 'unit',
      steps: STEPS,
      piles,
      purchase: { price: { amount: 3, per: 'kg' }, invoiceWeight: 2100 },
      labour: [],
      consumables: [],
      offers: [],
      causes: [],
      creditPolicy: 'used',
      allocation: 'value',
      cookId: 'ondine',
      cook: 'Ondine',
      startedAt: '2026-11-24T08:00:00.000Z',
    },
    facts: [],
  } as unknown as FabricationState
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>
      <KitchenContext value={LARCH_HALT}>{children}</KitchenContext>
    </QueryClientProvider>
  )
  const { result } = renderHook(() => useBench(state), { wrapper })
  const show = (grams: number, state_: ScaleReading['state'] = 'stable') =>
    act(async () =>
      tell({
        connected: true,
        address: 'x:1',
        reading: { grams, state: state_, tareGrams: 0, device: 'b', simulated: true },
      }),
    )
  // The stream of the scale outlives a bench: begin with an empty plate.
  await show(0)
  const put = async (grams: number) => {
    await show(0)
    await show(grams)
  }
  const on = (pile: string) =>
    result.current.live.standing.filter((reading) => reading.pileId === pile).map((reading) => reading.grams)
  const run = (action: () => void) =>
    act(async () => {
      action()
      await allWritten()
    })
  return { bench: () => result.current, put, on, run }
}

test('a weight is shown and said to be taken once it is written; the next one is led on before', async () => {
  const { bench, put, on, run } = await openBench()
  await put(141)
  await act(async () => bench().takeSettled())
  expect([on('drumsticks'), bench().said, bench().live.isWriting]).toEqual([[], '', true])
  // The same load is not taken twice, and what comes next knows of the first.
  await act(async () => bench().takeSettled())
  expect([bench().view.kind, bench().live.ahead]).toEqual(['taken', [expect.objectContaining({ grams: 141 })]])
  await act(async () => bench().undo())
  await run(() => bench().takeTyped(143, null))
  expect([on('drumsticks'), bench().live.isWriting]).toEqual([[143], false])
  expect(bench().said).toMatch(/^Took 143.g: drumsticks$/)
})

test('a device that cannot write says so, and shows the weight that it tries to send', async () => {
  const { bench, on, run } = await openBench()
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('the disk is full', 'QuotaExceededError')
  })
  await run(() => bench().takeTyped(141, null))
  put.mockRestore()
  expect(on('drumsticks')).toEqual([141])
  expect(bench().said).toMatch(/^Took 141.g: drumsticks\. This device cannot write it down: keep this page open/)
})

test('Enter alone weighs a whole bird: each weight goes where the steps say', async () => {
  const { bench, put, on, run } = await openBench()
  for (const grams of [141, 143, 273, 284, 280, 651, 42]) {
    await put(grams)
    await run(bench().takeSettled)
  }
  expect(['drumsticks', 'thighs', 'supremes', 'bones', 'bin'].map(on)).toEqual([
    [141, 143],
    [273],
    [284, 280],
    [651],
    [42],
  ])
  expect(bench().live.standing.every((reading) => reading.isKeptHere && reading.cookId === 'ondine')).toBe(true)
  expect(bench().stepAt).toBe(4)
})

test('a weight that does not fit the step is held out to the pile it looks like', async () => {
  const { bench, put, on, run } = await openBench()
  await put(650)
  expect([bench().likeness?.name, bench().activePile.name]).toEqual(['bones', 'bones'])
  await run(bench().takeSettled)
  expect(on('bones')).toEqual([650])
})

test('a pile that was touched is never argued with', async () => {
  const { bench, put, on, run } = await openBench()
  await run(() => bench().touchPile('supremes'))
  await put(650)
  expect([bench().likeness, bench().activePile.name]).toEqual([null, 'supremes'])
  await run(bench().takeSettled)
  expect(on('supremes')).toEqual([650])
})

test('touching a tile takes what lies there, and says why where there is nothing', async () => {
  const { bench, put, on, run } = await openBench()
  await put(284)
  await run(() => bench().touchPile('supremes'))
  expect(on('supremes')).toEqual([284])
  await run(() => bench().touchPile('supremes'))
  expect(bench().said).toBe('This one is taken already: lift it off first.')
  expect(on('supremes')).toEqual([284])
})

test('a weighing is picked and moved; undo moves it back, then deletes it, and redo does both again', async () => {
  const { bench, put, on, run } = await openBench()
  await put(284)
  await run(() => bench().touchPile('drumsticks'))
  const [reading] = bench().live.standing
  await run(() => bench().pick(reading?.id as string))
  expect(bench().picked?.grams).toBe(284)
  await run(() => bench().touchPile('supremes'))
  expect([on('drumsticks'), on('supremes'), bench().picked]).toEqual([[], [284], null])
  await run(bench().undo)
  expect([on('drumsticks'), on('supremes')]).toEqual([[284], []])
  await run(bench().undo)
  expect(bench().live.standing).toEqual([])
  await run(bench().undo)
  expect(bench().said).toBe('Nothing to undo on this device.')
  await run(bench().redo)
  expect(on('drumsticks')).toEqual([284])
  await run(bench().redo)
  expect([on('drumsticks'), on('supremes')]).toEqual([[], [284]])
  await run(bench().redo)
  expect(bench().said).toBe('Nothing to do again.')
})

test('undo after a weight was deleted brings that weight back, and deletes no other', async () => {
  const { bench, put, on, run } = await openBench()
  await run(() => bench().touchPile('supremes'))
  await put(284)
  await run(bench().takeSettled)
  await run(() => bench().takeTyped(276, null))
  await run(() => bench().withdraw(bench().live.standing[0]?.id as string))
  expect(on('supremes')).toEqual([276])
  await run(bench().undo)
  expect(bench().said).toContain('Undone: delete 284')
  expect(on('supremes')).toEqual([284, 276])
  await run(bench().nextStep)
  await run(bench().undo)
  expect(bench().said).toContain('Undone: step done')
  expect(on('supremes')).toEqual([284, 276])
})

test('a total is no portion: it is asked how many it is, and a number of pieces can be typed with it', async () => {
  const { bench, on, run } = await openBench()
  await run(() => bench().touchPile('supremes'))
  await run(() => bench().takeTyped(1588, null))
  expect(bench().said).toContain('how many pieces?')
  expect(bench().progress.counts.get('supremes')).toBe(6)
  const [reading] = bench().live.standing
  await run(() => bench().countPieces(reading?.id as string, 5))
  expect(bench().progress.counts.get('supremes')).toBe(5)
  await run(() => bench().touchPile('supremes'))
  await run(() => bench().takeTyped(560, 2))
  expect(on('supremes')).toEqual([1588, 560])
  const supremes = bench().live.document.piles.find((pile) => pile.name === 'supremes')
  expect([supremes?.weight, supremes?.portions, supremes?.pieces]).toEqual([2148, 7, undefined])
  await run(() => bench().touchPile('supremes'))
  await run(() => bench().takeTyped(570, 9))
  expect(bench().checks.open.map((check) => check.code)).toContain('count-does-not-fit')
})

test('the next step is recorded as done, and brings its pile', async () => {
  const { bench, run } = await openBench()
  await run(bench().nextStep)
  expect([bench().stepAt, bench().activePile.name]).toEqual([1, 'drumsticks'])
  await run(bench().nextStep)
  expect(bench().live.marks.map((mark) => [mark.mark, mark.step, mark.cookId])).toEqual([
    ['step-done', 'dry', 'ondine'],
    ['step-done', 'divide', 'ondine'],
  ])
  await run(() => bench().goToStep(99))
  expect(bench().stepAt).toBe(4)
  await run(bench().nextStep)
  expect(bench().said).toContain('last step')
})

test('what looks wrong is asked about until somebody answers', async () => {
  const { bench, run } = await openBench()
  await run(() => bench().touchPile('supremes'))
  await run(() => bench().takeTyped(617, null))
  const codes = () => bench().checks.open.map((check) => check.code)
  expect(codes()).toEqual(['wrong-unit'])
  await run(() => bench().checks.confirm(bench().checks.open[0] as never))
  expect(codes()).toEqual([])
  await run(() => bench().takeTyped(281, null))
  expect(codes()).toEqual([])
})
