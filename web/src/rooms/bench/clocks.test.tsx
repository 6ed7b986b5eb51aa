import type { MarkKind } from '@fleam/core'
import { screen } from '@testing-library/react'
import { mark as madeMark } from '../../../../core/test/facts.ts'
import { benchWith } from '../../../test/bench.ts'
import { renderPart, touch } from '../../../test/render.tsx'
import { Clocks } from './clocks.tsx'

describe('the clocks', () => {
  const mark = (kind: MarkKind, minute: number, cookId: string) =>
    madeMark(`${kind} ${minute}`, kind, minute, {
      cookId,
      takenAt: `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`,
    })

  test('say how long it has been on the board, and turn amber before the limit', async () => {
    const { bench, document, done } = benchWith()
    renderPart(<Clocks bench={bench} />, { document })
    const cold = screen.getByRole('timer')
    expect(cold.textContent).toContain('Out of the fridge 26 min')
    expect(cold.className).toContain('amber')
    await touch(screen.getByRole('button', { name: /Back in/ }))
    expect(done).toEqual(['mark cold-in'])
  })

  test('of the cooks start and pause, each by itself', async () => {
    const { bench, document, done } = benchWith({ marks: [mark('labour-start', 6, 'marit')] })
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /Marit/ }).textContent).toContain('20 min')
    await touch(screen.getByRole('button', { name: /Marit/ }))
    await touch(screen.getByRole('button', { name: /Ondine/ }))
    expect(done).toEqual(['mark labour-pause marit', 'mark labour-start ondine'])
  })
})
