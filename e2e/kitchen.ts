import { requestOf, requireAnswer } from '@fleam/contract/client'
import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationRow, FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Call } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { scaleOperations } from '@fleam/contract/scale/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import type { Reading } from '@fleam/core/facts'
import type { Item } from '@fleam/core/style'
import { type APIRequestContext, expect, type Locator, type Page } from '@playwright/test'

/** Asks for operations beside the page; every answer is checked. */
export const callBy =
  (request: APIRequestContext): Call =>
  async (operation, input) => {
    const { method, address, body } = requestOf(operation, input)
    const response = await request.fetch(address, { method, ...(body === undefined ? {} : { data: body }) })
    return requireAnswer(operation, await response.json())
  }

export async function larchHalt(request: APIRequestContext): Promise<Kitchen> {
  const kitchens = await callBy(request)(kitchenOperations.listKitchens, {})
  return kitchens.find((kitchen) => kitchen.name === 'Larch Halt') as Kitchen
}

export async function fabrications(request: APIRequestContext): Promise<FabricationRow[]> {
  const { id: kitchenId } = await larchHalt(request)
  return callBy(request)(fabricationOperations.listFabrications, { kitchenId })
}

export async function items(request: APIRequestContext): Promise<Item[]> {
  const { id: kitchenId } = await larchHalt(request)
  return callBy(request)(styleOperations.listItems, { kitchenId })
}

export async function stateOf(request: APIRequestContext, id: string): Promise<FabricationState> {
  const { id: kitchenId } = await larchHalt(request)
  return callBy(request)(fabricationOperations.readFabrication, { kitchenId, fabricationId: id })
}

/** The readings of a state, in the order of the work; those that were taken back too. */
export const readingsOf = ({ facts }: FabricationState): Reading[] => facts.filter((fact) => fact.kind === 'reading')

export interface StartRequest {
  item: string
  style?: string
  units?: number
  invoice: string
  price?: string
  /** Options by their question, chosen by name. */
  options?: Readonly<Record<string, string>>
}

/** Chooses one of many by its name, in a field that is searched. */
export async function choose(page: Page, field: Locator, name: string): Promise<void> {
  // Opened by a touch: what stands there already is not typed anew.
  await field.click()
  await field.fill(name)
  await page.getByRole('option', { name, exact: true }).click()
}

/** Starts a fabrication through the page and lands on its bench. Returns its id. */
export async function startAt(page: Page, request: StartRequest): Promise<string> {
  await page.goto('/bench')
  await choose(page, page.locator('#start-item'), request.item)
  if (request.style) await page.getByLabel('Cut style').selectOption({ label: request.style })
  await page.getByLabel('How many').fill(String(request.units ?? 1))
  for (const [question, choice] of Object.entries(request.options ?? {})) {
    await page.getByLabel(question, { exact: true }).selectOption({ label: choice })
  }
  if (request.price) await page.getByLabel('Price, EUR').fill(request.price)
  await page.getByLabel('Weight on the invoice').fill(request.invoice)
  return startWeighing(page)
}

async function startWeighing(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Start weighing' }).click()
  await page.waitForURL(/\/bench\/[0-9a-f-]{36}$/)
  await expect(page.getByRole('region', { name: 'Scale', exact: true })).toBeVisible()
  return page.url().split('/').at(-1) as string
}

/** Starts chickens for supremes, as last time but for their number and weight. */
export async function startBirds(page: Page, birds: number, invoice: string): Promise<string> {
  return startAt(page, {
    item: 'Chicken, eviscerated',
    style: 'Supremes and boneless thighs',
    units: birds,
    invoice,
    price: '3.1',
  })
}

/** The hands: puts something on the simulated scale and waits until it has settled. Not an action at the screen. */
export async function putOn(request: APIRequestContext, grams: number): Promise<void> {
  await callBy(request)(scaleOperations.loadStandIn, { body: { grams } })
  await expect
    .poll(
      async () => {
        const { reading } = await callBy(request)(scaleOperations.readScale, {})
        return reading?.state === 'stable' ? Math.round(reading.grams) : null
      },
      { intervals: [40] },
    )
    .toBe(grams)
}

/** Sets the scale to zero at a bench, opened again where it was finished. */
export async function zeroScale(request: APIRequestContext, fabricationId: string): Promise<void> {
  const call = callBy(request)
  const of = { kitchenId: (await larchHalt(request)).id, fabricationId }
  const { record } = await call(fabricationOperations.readFabrication, of)
  if (record.status === 'closed') {
    await call(fabricationOperations.updateFabrication, { ...of, body: editOf(record, { status: 'open' }) })
  }
  await call(scaleOperations.commandScale, { ...of, body: { command: 'zero' } })
}

/** Lifts off what lies there; nobody waits for an empty plate to come to rest. */
async function liftOff(request: APIRequestContext): Promise<void> {
  const call = callBy(request)
  await call(scaleOperations.loadStandIn, { body: { grams: 0 } })
  const shown = async () => (await call(scaleOperations.readScale, {})).reading?.grams
  await expect.poll(shown, { intervals: [40] }).toBeLessThan(2)
}

/** Lifts it off, puts the next thing on, and waits until the page has this weight settled too, not the one before. */
export async function nextOnScale(page: Page, grams: number): Promise<void> {
  await liftOff(page.request)
  await putOn(page.request, grams)
  await expect(page.locator('.scale-panel_scale-weight')).toContainText(shownGrams(grams))
  await expect(page.locator('.scale-panel_scale-state')).toContainText('settled')
}

/** Grams as the bench shows them. */
export const shownGrams = (grams: number) => grams.toLocaleString('en')

export const tile = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Piles' }).getByRole('button', { name })

/** Types a weight onto the active pile. */
export async function typeWeight(page: Page, text: string): Promise<void> {
  await page.getByLabel('Weight typed by hand').fill(text)
  await page.getByRole('button', { name: 'Add', exact: true }).click()
}
