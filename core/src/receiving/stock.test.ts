import { type StockLot, stockInOrder } from './index.ts'

const TODAY = '2026-11-24'
const lot = (id: string, changes: Partial<StockLot> = {}): StockLot => ({
  id,
  invoiceWeight: 10_000,
  receivedWeight: 10_000,
  usedWeight: 0,
  useBy: '2026-12-10',
  openedOn: null,
  daysOpen: 2,
  isFinished: false,
  standing: 'accepted',
  ...changes,
})

test('what must go first is at the top, and what has no day is last', () => {
  const order = stockInOrder([lot('none', { useBy: null }), lot('late'), lot('early', { useBy: '2026-11-25' })], TODAY)
  expect(order.map((state) => state.id)).toEqual(['early', 'late', 'none'])
})

test('opening starts a clock of its own, which may end before the supplier’s', () => {
  const [opened] = stockInOrder([lot('a', { openedOn: '2026-11-23' })], TODAY)
  expect(opened).toMatchObject({ lastDay: '2026-11-24', lastDayBy: 'opened', daysLeft: 0 })
  const [late] = stockInOrder([lot('a', { openedOn: '2026-11-23', useBy: '2026-11-23' })], TODAY)
  expect(late).toMatchObject({ lastDay: '2026-11-23', lastDayBy: 'label', daysLeft: -1 })
})

test('a day that is over says so', () => {
  expect(stockInOrder([lot('a', { useBy: '2026-11-20' })], TODAY)[0]).toMatchObject({ daysLeft: -4, state: 'over' })
  expect(stockInOrder([lot('a')], TODAY)[0]?.state).toBe('good')
})

test('what is used up or finished is not in the cold any more', () => {
  const lots = [
    lot('used', { usedWeight: 10_000 }),
    lot('finished', { isFinished: true }),
    lot('some', { usedWeight: 4_000 }),
  ]
  expect(stockInOrder(lots, TODAY).map((state) => [state.id, state.left])).toEqual([['some', 6_000]])
})

test('what was sent back is nowhere, and what is held says so', () => {
  const lots = (['refused', 'returned', 'quarantined', 'accepted'] as const).map((standing) =>
    lot(standing, { standing }),
  )
  expect(stockInOrder(lots, TODAY).map((state) => [state.id, state.isHeld])).toEqual([
    ['accepted', false],
    ['quarantined', true],
  ])
})

test('what is left of a lot that came short is short by the same share', () => {
  const [half] = stockInOrder([lot('half', { receivedWeight: 9_000, usedWeight: 5_000 })], TODAY)
  expect(half?.left).toBeCloseTo(4_500, 9)
  expect(stockInOrder([lot('all', { receivedWeight: 10_200, usedWeight: 10_000 })], TODAY)).toEqual([])
})
