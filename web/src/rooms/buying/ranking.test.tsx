import { compareForms } from '@fleam/core/buying'
import { screen, within } from '@testing-library/react'
import { estimate, quote, readyForm, TWENTY_PLATES as request, wholeForm } from '../../../../core/test/forms.ts'
import { renderPart, touch } from '../../../test/render.tsx'
import { Ranking } from './ranking.tsx'

const show = (...forms: Parameters<typeof compareForms>[0][number][]) =>
  renderPart(<Ranking comparison={compareForms(forms, request)} request={request} />)
const sure = (id: string, amount: number, halfWidth: number) => {
  const form = wholeForm({ id, article: id, quote: quote(amount) })
  const piles = form.piles.map((pile) =>
    pile.name === 'supremes' ? { ...pile, share: estimate(0.25, halfWidth) } : pile,
  )
  return { ...form, piles }
}

test('the answer is a sentence, and each form says whose yield it rests on', () => {
  show(wholeForm({ quote: quote(1) }), readyForm())
  expect(screen.getByText(/is cheapest/).textContent).toBe(
    'Chicken from Ostravale Poultry Yard is cheapest: €2.15 a plate. Next is Supremes, 20 x 280 g from Plattenkar Provisions at €3.99.',
  )
  const [, first, second] = screen.getAllByRole('row')
  expect(first?.textContent).toContain('25.0\u00a0%our own, 5 tests')
  expect(second?.textContent).toContain('bought ready')
  expect(second?.textContent).toContain('40 pieces, 2 packs')
})

test('forms that cannot be told apart share a place and are said to be equal', () => {
  show(sure('A', 3, 0.02), sure('B', 3.02, 0.02), sure('C', 9, 0.02))
  expect(screen.getByText(/cannot be told apart/).textContent).toContain('A from Ostravale Poultry Yard and B from')
  expect(
    screen
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell')[0]?.textContent),
  ).toEqual(['1 =', '1 =', '3'])
})

test('what a kilo costs opens to its formula', async () => {
  show(wholeForm())
  await touch(screen.getByRole('button', { name: /€16\.60/ }))
  expect(document.querySelector('.formula')?.textContent).toContain('kilo')
})

test('what cannot be compared is named with the reason', () => {
  show(readyForm({ quote: quote(76, 'case') }))
  expect(screen.getByText(/nobody says how much a piece or a pack weighs/)).toBeTruthy()
  expect(screen.queryByRole('table')).toBeNull()
})
