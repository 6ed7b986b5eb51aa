import { editOf } from '@fleam/contract/edit'
import type { FabricationRow, FabricationState } from '@fleam/contract/fabrication'
import type { Kitchen } from '@fleam/contract/kitchen'
import type { ScaleStatus } from '@fleam/contract/scale-line'
import type { Item } from '@fleam/contract/style'
import type { Reading } from '@fleam/core/facts'
import { type APIRequestContext, expect, type Locator, type Page } from '@playwright/test'

export async function larchHalt(request: APIRequestContext): Promise<Kitchen> {
  const kitchens = (await (await request.get('/api/kitchens')).json()) as Kitchen[]
  return kitchens.find((kitchen) => kitchen.name === 'Larch Halt') as Kitchen
}

export async function fabrications(request: APIRequestContext): Promise<FabricationRow[]> {
  const { id } = await larchHalt(request)
  return (await request.get(`/api/kitchens/${id}/fabrications`)).json()
}

export async function items(request: APIRequestContext): Promise<Item[]> {
  const { id } = await larchHalt(request)
  return (await request.get(`/api/kitchens/${id}/items`)).json()
}

export async function stateOf(request: APIRequestContext, id: string): Promise<FabricationState> {
  const kitchen = await larchHalt(request)
  return (await request.get(`/api/kitchens/${kitchen.id}/fabrications/${id}`)).json()
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
  await request.post('/api/scale/stand-in', { data: { grams } })
  await expect
    .poll(
      async () => {
        const { reading } = (await (await request.get('/api/scale')).json()) as ScaleStatus
        return reading?.state === 'stable' ? Math.round(reading.grams) : null
      },
      { intervals: [40] },
    )
    .toBe(grams)
}

/** Sets the scale to zero at a bench, opened again where it was finished. */
export async function zeroScale(request: APIRequestContext, fabricationId: string): Promise<void> {
  const path = `/api/kitchens/${(await larchHalt(request)).id}/fabrications/${fabricationId}`
  const { record } = (await (await request.get(path)).json()) as FabricationState
  if (record.status === 'closed') await request.put(path, { data: editOf(record, { status: 'open' }) })
  await request.post(`${path}/scale-commands`, { data: { command: 'zero' } })
}

/** Lifts off what lies there; nobody waits for an empty plate to come to rest. */
async function liftOff(request: APIRequestContext): Promise<void> {
  await request.post('/api/scale/stand-in', { data: { grams: 0 } })
  const shown = async () => ((await (await request.get('/api/scale')).json()) as ScaleStatus).reading?.grams
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
