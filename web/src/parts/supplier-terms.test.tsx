import { act, fireEvent, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { answerWith } from '../../test/server.ts'
import { SupplierTerms } from './supplier-terms.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`

async function show(page: React.ReactElement, answers: Record<string, unknown>) {
  const asked = answerWith(
    Object.fromEntries(Object.entries(answers).map(([path, body]) => [`GET ${BASE}${path}`, { body }])) as never,
  )
  await act(async () => {
    renderPart(page)
  })
  await answered()
  return asked
}

describe('suppliers and their terms', () => {
  test('keeps a supplier’s terms when they are changed', async () => {
    const asked = await show(<SupplierTerms />, {
      '/suppliers': [{ id: 's', name: 'Ostravale Poultry Yard', delivery: 3, minimumOrder: null }],
    })
    const keep = screen.getByRole('button', { name: 'Save the terms of Ostravale Poultry Yard' }) as HTMLButtonElement
    expect(keep.disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Minimum order, EUR, if any'), { target: { value: '40' } })
    await touch(keep)
    expect(asked.find((request) => request.method === 'PUT')?.body).toMatchObject({ delivery: 3, minimumOrder: 40 })
  })

  test('puts a supplier that stands there under two names under one, once it was said which', async () => {
    const supplier = (id: string, name: string) => ({ id, name, delivery: 0, minimumOrder: null })
    const asked = await show(<SupplierTerms />, {
      '/suppliers': [supplier('one', 'Ostravale Poultry Yard'), supplier('two', 'Ostravale Yard')],
    })
    expect(screen.queryByRole('button', { name: /^Put all of/ })).toBeNull()
    fireEvent.change(screen.getAllByLabelText('Same supplier as')[1] as HTMLElement, { target: { value: 'one' } })
    await touch(screen.getByRole('button', { name: 'Put all of Ostravale Yard under Ostravale Poultry Yard' }))
    const merge = asked.find((request) => request.method === 'POST')
    expect(merge?.path).toMatch(/\/suppliers\/two\/merge$/)
    expect(merge?.body).toEqual({ into: 'one' })
  })
})
