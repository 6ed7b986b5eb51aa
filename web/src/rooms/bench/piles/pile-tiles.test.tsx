import { screen } from '@testing-library/react'
import { benchWith } from '../../../../test/bench.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { PileTiles } from './pile-tiles.tsx'

describe('the tiles', () => {
  test('say what is there, what is expected, and how many pieces', async () => {
    const { bench, document, done } = benchWith({ grams: [281, 276] })
    renderPart(<PileTiles bench={bench} />, { document })
    const tile = screen.getByRole('button', { name: /supremes/ })
    expect(tile.textContent).toContain('557\u00a0g')
    expect(tile.textContent).toContain('of about 3,402\u00a0g · 2 of 12 pieces')
    expect(tile.getAttribute('aria-pressed')).toBe('true')
    await touch(screen.getByRole('button', { name: /bones/ }))
    expect(done).toEqual(['touch bones'])
  })

  test('mark what this device alone has', () => {
    const { bench, document } = benchWith({ grams: [281], keptHere: true })
    renderPart(<PileTiles bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /supremes/ }).textContent).toContain('kept here')
    expect(screen.getByRole('button', { name: /bones/ }).textContent).not.toContain('kept here')
  })
})
