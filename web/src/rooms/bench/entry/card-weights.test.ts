import { planned } from '../../../../../core/test/planned.ts'
import { benchWith, RECORD } from '../../../../test/bench.ts'
import { checksOfCard, readBox } from './card-weights.ts'

const supremes = planned('supremes', { weighing: 'pieces', target: 280, low: 235, high: 310 })

test('a box holds weights, or a total with its number of pieces', () => {
  expect(readBox('281 276', supremes, 'g')).toEqual({
    ok: true,
    taken: [
      { grams: 281, pieces: null },
      { grams: 276, pieces: null },
    ],
  })
  expect(readBox('1.6 kg, 6 pieces', supremes, 'g')).toEqual({ ok: true, taken: [{ grams: 1600, pieces: 6 }] })
  expect(readBox('1.6 kg, 6 pieces', planned('bones'), 'g').ok).toBe(false)
  expect(readBox('', supremes, 'g')).toEqual({ ok: true, taken: [] })
})

test('more than came in is asked about before it is put in', () => {
  const { bench, document } = benchWith()
  const checks = (text: string) => {
    const boxes = new Map([['supremes', readBox(text, supremes, 'g')]])
    return checksOfCard(RECORD, document, bench.live.standing, boxes).map(({ code }) => code)
  }
  expect(checks('281 276')).toEqual([])
  expect(checks('363 kg')).toEqual(['heavier-than-whole', 'balance-over'])
})
