import type { Item } from '@fleam/core/style'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { quote, wholeForm } from '../../../../core/test/forms.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { emptyDraft, keepDraft, keptDraft, type LotDraft } from './lot-draft.ts'
import { LotForm } from './lot-form.tsx'
import { useLotForm } from './use-lot-form.ts'

// The scale has its own tests; here it lies still with 12.48 kg on it.
jest.mock('../../data/scale.ts', () => ({
  useScale: () => ({ reading: { grams: 12_480, state: 'stable' }, connected: true }),
}))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const ITEM = {
  id: 'i',
  name: 'Chicken, eviscerated',
  species: 'poultry',
  unitName: { one: 'bird', many: 'birds' },
  isArchived: false,
  styles: [],
} as unknown as Item

let latest: LotDraft
function Door({ start }: { start: LotDraft }) {
  const form = useLotForm(start, keepDraft)
  latest = form.watch()
  return <LotForm form={form} />
}

async function show(changes: Partial<LotDraft> = {}) {
  answerWith({
    [`GET ${BASE}/items`]: { body: [ITEM] },
    [`GET ${BASE}/suppliers`]: { body: [] },
    [`GET ${BASE}/cautions`]: { body: [] },
    [`GET ${BASE}/forms?item=i`]: { body: [wholeForm({ quote: quote(3.1, 'kg', { delivery: 3 }) })] },
  })
  await act(async () => {
    renderPart(<Door start={{ ...emptyDraft('l', '2026-11-24', 'kg'), ...changes }} />)
  })
  // Items, and then the prices of the item, come one after the other.
  await answered()
  await answered()
}
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
const chosen = { itemId: 'i', supplier: 'Ostravale Poultry Yard' }

describe('the price', () => {
  test('is what the price book knows of the supplier, charges too', async () => {
    await show(chosen)
    expect(latest).toMatchObject({ price: { amount: 3.1, per: 'kg' }, extras: 3 })
    expect((screen.getByLabelText('Price on the invoice, EUR') as HTMLInputElement).value).toBe('3.1')
  })

  test('that somebody types is left, digit by digit, and may be cleared', async () => {
    await show({ ...chosen, price: { amount: 2.8, per: 'kg' } })
    const field = screen.getByLabelText('Price on the invoice, EUR')
    for (const text of ['', '4', '4,', '4,2']) fireEvent.change(field, { target: { value: text } })
    expect(screen.getByLabelText('Price on the invoice, EUR')).toBe(field)
    expect(latest.price.amount).toBe(4.2)
  })
})

describe('cases', () => {
  test('are scanned, weighed by the scale with one touch, and what is missing is said', async () => {
    await show({ ...chosen, price: { amount: 4, per: 'kg' } })
    fill('Scan the case label', '(3103)012600(10)L-1')
    await touch(screen.getByRole('button', { name: 'Read' }))
    expect(latest).toMatchObject({ code: 'L-1', cases: [{ invoiceWeight: 12_600, weighed: null }] })
    expect(keptDraft()).toMatchObject({ code: 'L-1', cases: [{ invoiceWeight: 12_600 }] })
    await touch(screen.getByRole('button', { name: 'Take the scale’s weight for case 1' }))
    expect(latest.cases[0]?.weighed).toBe(12_480)
    expect((screen.getByLabelText('Weight of case 1') as HTMLInputElement).value).toContain('12.48')
    expect(screen.getByText(/120\sg short: €0\.48 to claim/)).toBeTruthy()
  })

  test('without a label are added by hand, and removed', async () => {
    await show(chosen)
    await touch(screen.getByRole('button', { name: 'Add without a label' }))
    fill('Invoice weight of case 1', '5 kg')
    fill('Weight of case 1', '5 kg')
    expect(latest.cases).toMatchObject([{ label: null, invoiceWeight: 5000, weighed: 5000 }])
    expect(screen.getByText(/Nothing is missing\./)).toBeTruthy()
    await touch(screen.getByRole('button', { name: 'Remove case 1' }))
    expect(latest.cases).toEqual([])
  })

  test('with a label that cannot be read are refused, and the text stays to be looked at', async () => {
    await show(chosen)
    fill('Scan the case label', '(3103)0126')
    await touch(screen.getByRole('button', { name: 'Read' }))
    expect(screen.getByRole('alert').textContent).toBe('The label was cut off (3103, place 1). Scan it again.')
    expect((screen.getByLabelText('Scan the case label') as HTMLInputElement).value).toBe('(3103)0126')
  })
})

describe('checks', () => {
  const row = (question: string) => screen.getByText(question).closest('li') as HTMLElement

  test('fit the animal, and are answered and taken back with one tap', async () => {
    await show(chosen)
    expect(screen.queryByText('Stiffness')).toBeNull()
    await touch(within(row('Skin')).getByRole('button', { name: 'skin torn' }))
    expect(latest.checks).toEqual([{ checkId: 'skin', isFault: true, value: null, note: null, worth: null }])
    fill('Skin, in words', 'two of eight')
    expect(latest.checks[0]?.note).toBe('two of eight')
    await touch(within(row('Skin')).getByRole('button', { name: 'whole' }))
    expect(latest.checks[0]?.isFault).toBe(false)
    await touch(within(row('Skin')).getByRole('button', { name: 'whole' }))
    expect(latest.checks).toEqual([])
  })

  test('a temperature above its limit is a fault by itself', async () => {
    await show(chosen)
    fill('Core temperature, °C', '4')
    expect(latest.checks).toEqual([{ checkId: 'temperature', isFault: false, value: 4, note: null, worth: null }])
    fill('Core temperature, °C', '7,5')
    expect(latest.checks).toEqual([{ checkId: 'temperature', isFault: true, value: 7.5, note: null, worth: null }])
  })

  test('stand with the cautions of the door, which defer to the local code', async () => {
    await show(chosen)
    expect(screen.getByText(/Your local code, your kitchen’s approved plan and licensed practice decide/)).toBeTruthy()
  })

  test('of nothing chosen yet are not there', async () => {
    await show()
    expect(screen.getByText(/Say what came, and the checks/)).toBeTruthy()
  })
})
