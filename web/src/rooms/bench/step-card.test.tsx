import { screen } from '@testing-library/react'
import { benchWith, RECORD, step } from '../../../test/bench.ts'
import { renderPart, touch } from '../../../test/render.tsx'
import { StepCard } from './step-card.tsx'

describe('the step', () => {
  test('says what to do, how to tell that it is right, what not, and its cautions', () => {
    const { bench, document } = benchWith()
    renderPart(<StepCard bench={bench} />, { document })
    const card = screen.getByRole('region', { name: 'Step' })
    for (const words of [
      'Step 2 of 2 · 1 of 6 on the board',
      'With long strokes.',
      'Done when: It shines.',
      'Avoid: short strokes.',
    ]) {
      expect(card.textContent).toContain(words)
    }
    expect(screen.getByRole('list', { name: 'Cautions of this step' }).textContent).toContain('Do not rinse poultry')
    expect(card.querySelectorAll('.region.lit').length).toBeGreaterThan(0)
    expect(card.querySelectorAll('.cut').length).toBeGreaterThan(0)
  })

  test('goes on, back, and to any other', async () => {
    const { bench, document, done } = benchWith()
    renderPart(<StepCard bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /Done, next step/ }))
    await touch(screen.getByRole('button', { name: 'Back' }))
    await touch(screen.getByRole('button', { name: 'All steps' }))
    await touch(screen.getByRole('button', { name: /1. Do dry/ }))
    expect(done).toEqual(['next', 'step 0', 'step 0'])
  })

  test('that is optional says what it is worth, with its numbers', () => {
    const { bench, document } = benchWith({ changes: { stepAt: 0 } })
    const gain = { pileId: 'supremes', grams: 6, seconds: 30 }
    const steps = [step('wishbone', { isOptional: true, gain })]
    const own = { ...bench, live: { ...bench.live, record: { ...RECORD, steps } } }
    renderPart(<StepCard bench={own} />, { document })
    const card = screen.getByRole('region', { name: 'Step' })
    expect(card.textContent).toContain('optional')
    expect(card.textContent).toContain('Costs €0.10 more than it brings, assumed')
  })
})
