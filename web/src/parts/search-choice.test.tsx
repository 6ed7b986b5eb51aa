import { act, fireEvent, screen } from '@testing-library/react'
import { choose, renderPart, touch } from '../../test/render.tsx'
import { SearchChoice } from './search-choice.tsx'

const CHOICES = [
  { id: 'c', name: 'Chicken, eviscerated' },
  { id: 'd', name: 'Duck' },
  { id: 'l', name: 'Lamb rack, eight ribs' },
]
let chosen: string[] = []
const show = (value: string | null = 'c') => {
  chosen = []
  renderPart(<SearchChoice label="Item" choices={CHOICES} value={value} onChoose={(id) => chosen.push(id)} />)
  return screen.getByRole('combobox', { name: 'Item' }) as HTMLInputElement
}
const type = (field: HTMLElement, value: string) => act(async () => void fireEvent.change(field, { target: { value } }))
const options = () => screen.queryAllByRole('option').map((element) => element.textContent)

test('opened, all of them are there; typed, those that have every word; Enter takes the first', async () => {
  const field = show()
  expect(field.value).toBe('Chicken, eviscerated')
  await touch(field)
  expect(options()).toEqual(CHOICES.map(({ name }) => name))
  await type(field, 'ribs LAMB')
  expect(options()).toEqual(['Lamb rack, eight ribs'])
  await act(async () => void fireEvent.keyDown(field, { key: 'Enter' }))
  expect(chosen).toEqual(['l'])
})

test('what is typed and not chosen leaves the choice as it was', async () => {
  const field = show()
  await type(field, 'goose')
  expect(screen.getByText('Nothing is called that.')).toBeTruthy()
  await act(async () => void fireEvent.blur(field))
  expect([field.value, chosen]).toEqual(['Chicken, eviscerated', []])
  await type(field, 'du')
  await act(async () => void fireEvent.keyDown(field, { key: 'Escape' }))
  await act(async () => void fireEvent.keyDown(field, { key: 'Escape' }))
  expect([field.value, chosen]).toEqual(['Chicken, eviscerated', []])
})

test('nothing is chosen until somebody does', async () => {
  expect(show(null).value).toBe('')
  await choose('Item', 'Duck')
  expect(chosen).toEqual(['d'])
})
