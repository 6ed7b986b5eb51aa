import { act, fireEvent, screen, within } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Settings } from './settings.tsx'

const PATH = `/api/kitchens/${LARCH_HALT.id}`
const ondine = { id: 'o', name: 'Ondine', wagePerHour: 21.4 }
const submit = (button: HTMLElement) =>
  act(async () => {
    fireEvent.submit(button.closest('form') as HTMLFormElement)
  })
const type = (field: HTMLElement, value: string) => fireEvent.change(field, { target: { value } })

async function open(extra: Record<string, unknown> = {}) {
  const asked = answerWith({
    [`GET ${PATH}/cooks`]: { body: [ondine] },
    [`GET ${PATH}/containers`]: { body: [] },
    [`GET ${PATH}/suppliers`]: { body: [] },
    ...extra,
  } as never)
  await act(async () => {
    renderPart(<Settings />)
  })
  await answered()
  return asked
}

test('a cook’s name and wage are changed, and another one is added', async () => {
  const asked = await open({
    [`PUT ${PATH}/cooks/o`]: { body: { ...ondine, wagePerHour: 23 } },
    [`POST ${PATH}/cooks`]: { status: 201, body: { id: 'n', name: 'Thessaly', wagePerHour: 19 } },
  })
  const cooks = within(screen.getByRole('region', { name: 'Cooks' }))
  type(cooks.getByLabelText(/^Wage of Ondine/), '23')
  await submit(cooks.getByRole('button', { name: 'Save of Ondine' }))
  type(cooks.getByLabelText('Name of a new cook'), 'Thessaly')
  await submit(cooks.getByRole('button', { name: 'Add cook of a new cook' }))
  const sent = asked.filter(({ body }) => body !== undefined).map(({ body }) => body)
  expect(sent[0]).toEqual({ name: 'Ondine', wagePerHour: 23 })
  expect(sent[1]).toMatchObject({ name: 'Thessaly', wagePerHour: LARCH_HALT.wagePerHour })
})

test('what is wrong is said beside its field, and nothing is sent', async () => {
  const asked = await open()
  const before = asked.length
  const kitchen = within(screen.getByRole('region', { name: 'Kitchen' }))
  type(kitchen.getByLabelText('Name'), ' ')
  type(kitchen.getByLabelText(/^Wage/), 'much')
  await submit(kitchen.getByRole('button', { name: 'Save' }))
  expect(kitchen.getByText('A kitchen needs a name.')).toBeTruthy()
  const containers = within(screen.getByRole('region', { name: 'Containers' }))
  await submit(containers.getByRole('button', { name: 'Add container' }))
  expect(containers.getByText('What does it weigh empty?')).toBeTruthy()
  expect(asked).toHaveLength(before)
})
