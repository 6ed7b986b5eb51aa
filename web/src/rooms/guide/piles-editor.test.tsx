import { factsOf } from '@fleam/catalogue'
import type { Style } from '@fleam/core/style'
import { fireEvent, screen } from '@testing-library/react'
import { renderPart } from '../../../test/render.tsx'
import { PilesEditor } from './piles-editor.tsx'
import { newPile } from './style-draft.ts'
import { useStyleForm } from './use-style-form.ts'

let style: Style
const before = { piles: [newPile('p', 'poultry')], steps: [], options: [] } as unknown as Style
function Editing() {
  const editing = useStyleForm(before)
  style = editing.style
  return <PilesEditor editing={editing} species="poultry" />
}
const pile = () => style.piles[0]
const choose = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

test('what a pile is says how long it keeps, and what it is called says nothing', () => {
  renderPart(<Editing />)
  choose('Name', 'wings, jointed')
  expect(pile()).toMatchObject({ ...factsOf('poultry', 'trim'), name: 'wings, jointed' })
  choose('What it is', 'bones')
  expect(pile()).toMatchObject(factsOf('poultry', 'bones'))
  choose('Use', 'waste')
  expect(pile()).toMatchObject({ kind: 'waste', chilledDays: null, frozenMonths: null })
  choose('Use', 'primary')
  expect(pile()).toMatchObject(factsOf('poultry', 'portions'))
})

test('a kitchen puts its own days, bone and loss in their place', () => {
  renderPart(<Editing />)
  choose('Use', 'primary')
  choose('Bone, %', '12')
  choose('Cooking loss, %', '25')
  choose('Keeps in the cold, days', '1')
  choose('Keeps frozen, months', '')
  expect(pile()).toMatchObject({
    kind: 'portions',
    boneShare: 0.12,
    cookingLoss: 0.25,
    chilledDays: 1,
    frozenMonths: null,
  })
  expect(screen.getByText(/your local code or plan may say less/)).toBeTruthy()
})
