import { fireEvent, screen, waitFor } from '@testing-library/react'
import { mark } from '../../../../../core/test/facts.ts'
import { benchWith, RECORD, step } from '../../../../test/bench.ts'
import { LARCH_HALT, renderPart, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { StepCard } from './step-card.tsx'

describe('the step', () => {
  test('says what to do, how to tell that it is right, what not, and its cautions', () => {
    const { bench, document } = benchWith()
    renderPart(<StepCard bench={bench} />, { document })
    const card = screen.getByRole('region', { name: 'Step' })
    for (const words of [
      'Step 2 of 2 · Bird 1 of 6',
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
    await touch(await screen.findByRole('button', { name: /1. Do dry/ }))
    expect(done).toEqual(['next', 'step 0', 'step 0'])
  })

  test('of a batch is given to a cook in the list of all steps', async () => {
    answerWith({
      [`GET /api/kitchens/${LARCH_HALT.id}/cooks`]: {
        body: [{ id: 'marit', name: 'Marit', wagePerHour: 20 }],
      },
    })
    const { bench, document, done } = benchWith({
      marks: [mark('g', 'step-given', 1, { step: 'supremes', cookId: 'marit' })],
    })
    renderPart(<StepCard bench={bench} />, { document })
    expect(screen.getByRole('region', { name: 'Step' }).textContent).toContain('· for Marit')
    await touch(screen.getByRole('button', { name: 'All steps' }))
    const who = (await screen.findByLabelText('Who does: Do dry')) as HTMLSelectElement
    await waitFor(() => expect(who.options).toHaveLength(2))
    fireEvent.change(who, { target: { value: 'marit' } })
    expect(done).toEqual(['mark step-given marit'])
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
