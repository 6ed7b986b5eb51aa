import type { WeighingCheck } from '@fleam/core/weighing'
import { screen } from '@testing-library/react'
import { benchWith } from '../../../../test/bench.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { ChecksLine } from './checks-line.tsx'

describe('a question', () => {
  const ask = (check: WeighingCheck) => {
    const { bench, document, done } = benchWith({ checks: [check] })
    renderPart(<ChecksLine bench={bench} />, { document })
    return done
  }

  test('about a reading can be confirmed or the reading taken back', async () => {
    const done = ask({ code: 'wrong-unit', readingId: '7', pileId: 'supremes', grams: 617, against: 280 })
    expect(screen.getByRole('status', { name: 'Question' }).textContent).toContain(
      '617\u00a0g of supremes, about 280\u00a0g expected: pounds for kilos?',
    )
    await touch(screen.getByRole('button', { name: 'It is right' }))
    await touch(screen.getByRole('button', { name: 'Delete this weight' }))
    expect(done).toEqual(['confirm wrong-unit', 'withdraw 7'])
  })

  for (const [code, words] of [
    ['heavier-than-whole', 'is more than the whole'],
    ['taken-twice', 'twice within a second'],
    ['far-from-expected', 'on average, about'],
    ['balance-over', 'came out of'],
    ['balance-lost', 'not weighed'],
  ] as const) {
    test(`${code} is one line`, () => {
      ask({ code, readingId: null, pileId: 'supremes', grams: 500, against: 400 })
      expect(screen.getByRole('status', { name: 'Question' }).textContent).toContain(words)
      expect(screen.queryByRole('button', { name: 'Delete this weight' })).toBeNull()
    })
  }
})
