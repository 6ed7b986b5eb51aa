import { screen } from '@testing-library/react'
import { benchWith } from '../../../../test/bench.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { PieceList } from './piece-list.tsx'

describe('the pieces', () => {
  test('are newest first, and tell light from heavy without hue', () => {
    const { bench, document } = benchWith({ grams: [281, 230, 320] })
    renderPart(<PieceList bench={bench} />, { document })
    const words = screen.getAllByRole('listitem').map((element) => element.textContent)
    expect(words[0]).toContain('320\u00a0g, too heavy')
    expect(words[1]).toContain('230\u00a0g, too light')
    expect(words[2]).not.toContain('too')
    expect(screen.getByText(/1 in bounds, 1 too light, 1 too heavy/)).toBeTruthy()
  })

  test('can each be picked, and then taken back or left', async () => {
    const { bench, document, done } = benchWith({ grams: [281, 276] })
    const { rerender } = renderPart(<PieceList bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /276/ }))
    expect(done).toEqual(['pick 1'])
    rerender(<div />)
    const picked = { ...bench, picked: bench.live.standing[1] ?? null }
    renderPart(<PieceList bench={picked} />, { document })
    await touch(screen.getByRole('button', { name: 'Delete this weight' }))
    await touch(screen.getByRole('button', { name: 'Cancel' }))
    expect(done.slice(1)).toEqual(['withdraw 1', 'pick null'])
  })

  test('of a large batch are counted, and the newest shown', () => {
    const { bench, document } = benchWith({ grams: Array.from({ length: 60 }, () => 281) })
    renderPart(<PieceList bench={bench} />, { document })
    expect(screen.getAllByRole('listitem')).toHaveLength(48)
    expect(screen.getByText('and 12 earlier ones')).toBeTruthy()
  })

  test('that are not there yet are said to be missing', () => {
    const { bench, document } = benchWith()
    renderPart(<PieceList bench={bench} />, { document })
    expect(screen.getByText('Nothing weighed onto it yet.')).toBeTruthy()
  })
})
