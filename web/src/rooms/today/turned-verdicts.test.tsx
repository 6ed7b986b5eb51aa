import { screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { TurnedVerdicts } from './turned-verdicts.tsx'

const cheap = sixChickens({
  purchase: { ...sixChickens().purchase, price: { amount: 3.1, per: 'kg' } },
  meta: { supplier: 'Ostravale Poultry Yard' },
})
const answer = (changes: unknown[]) =>
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/turned`]: { body: [{ id: 'r', document: cheap, changes }] } })

test('says what a verdict was and is, what turned it and since when', async () => {
  answer([{ kind: 'purchase', price: { amount: 6, per: 'kg' }, extras: null, since: '2026-11-22' }])
  renderPart(<TurnedVerdicts />)
  const entry = await screen.findByRole('listitem')
  expect(entry.textContent).toContain(
    'has turned from make to buy: Ostravale Poultry Yard asks €6.00 a kilo instead of €3.10 since Sun 22 Nov',
  )
  expect(entry.textContent).toMatch(/A portion of supremes now costs €\d\.\d\d, before €\d\.\d\d/)
})

test('says nothing where nothing has turned', async () => {
  answer([])
  const { container } = renderPart(<TurnedVerdicts />)
  await answered()
  expect(container.querySelector('li')).toBeNull()
})
