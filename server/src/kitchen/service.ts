import type { Cook, CookEdit, CookWeeks, Kitchen, KitchenEdit, KitchenOffer } from '@fleam/contract/kitchen/schemas'
import { MAX_COOKS } from '@fleam/core/limits'
import type { Database } from '../database/index.ts'
import { createOnce, isSameContent, notFound, Refusal, refuseTaken } from '../http/index.ts'
import { type Clock, decide, inTransaction, type Scope } from '../scope/index.ts'
import { insertCatalogue, requireStyle } from '../style/index.ts'
import { requireSupplier } from '../supplier/index.ts'
import * as store from './store.ts'

/** Sets a kitchen up with the catalogue's items. Sent twice with the same id it is made once. */
export const setUpKitchen = (database: Database, setUp: Kitchen, clock: Clock): Promise<Kitchen> =>
  createOnce({
    read: async () => {
      const existing = await store.kitchenById(database, setUp.id)
      if (!existing) return null
      const { id, name, currency, units, decimalMark, timeZone, wagePerHour, lightPlates, address } = existing
      return { id, name, currency, units, decimalMark, timeZone, wagePerHour, lightPlates, address }
    },
    create: () =>
      inTransaction({ database, kitchen: setUp, actor: 'office', transaction: null, clock }, async (scope) => {
        await store.insertKitchen(scope)
        await insertCatalogue(scope)
      }),
    isSame: (existing) => isSameContent(existing, setUp),
    taken: { path: 'id', detail: 'A kitchen with this id is there already.' },
  })

/** A cook of this kitchen; null where it has none of this id. */
export const cookById = async (scope: Scope, id: string) =>
  (await store.cooks(scope)).find((cook) => cook.id === id) ?? null

/** Adds a cook; the same one again changes nothing. Throws `id-taken`, for its name too, and `invalid-input` for one too many. */
export const createCook = (scope: Scope, cook: Cook): Promise<Cook> =>
  createOnce({
    read: () => cookById(scope, cook.id),
    create: () =>
      decide(scope, 'cooks', async (inside) => {
        if ((await store.cooks(inside)).length >= MAX_COOKS) {
          throw new Refusal('invalid-input', `A kitchen has ${MAX_COOKS} cooks at most.`, {
            issues: [{ path: 'id', message: `is one more than ${MAX_COOKS}` }],
          })
        }
        await store.insertCook(inside, cook)
      }),
    isSame: (existing) => isSameContent(existing, cook),
    taken: { path: 'name', detail: 'A cook of this name is there already.' },
  })

/** Changes what a kitchen says of itself; what was weighed and bought stays as it is. */
export async function updateKitchen(scope: Scope, edit: KitchenEdit): Promise<Kitchen> {
  // Who wrote to kitchens before they said what a light plate is leaves that as it is.
  const { lightPlates = scope.kitchen.lightPlates, ...rest } = edit
  const changed = { ...rest, lightPlates }
  await store.updateKitchen(scope, changed)
  // Requests share what is known of a kitchen for some seconds: they know it at once.
  return Object.assign(scope.kitchen, changed)
}

/** Changes a cook's name and wage: records keep the wage that was paid. */
export async function updateCook(scope: Scope, id: string, edit: CookEdit): Promise<Cook> {
  return refuseTaken('name', 'A cook of this name is there already.', () =>
    decide(scope, 'cooks', async (inside) => {
      if (!(await cookById(inside, id))) throw notFound('cook')
      await store.updateCook(inside, id, edit)
      return { id, ...edit }
    }),
  )
}

/** Changes the weeks of several cooks, all or none. */
export async function updateCookWeeks(scope: Scope, { cooks }: CookWeeks): Promise<Cook[]> {
  return decide(scope, 'cooks', async (inside) => {
    const cookIds = new Set((await store.cooks(inside)).map(({ id }) => id))
    const issues = cooks.flatMap(({ id }, index) =>
      cookIds.has(id) ? [] : [{ path: `cooks[${index}].id`, message: 'is not a cook here' }],
    )
    if (issues.length > 0) throw new Refusal('invalid-input', 'This kitchen has no such cook.', { issues })
    for (const cook of cooks) await store.updateCookWeek(inside, cook)
    return store.cooks(inside)
  })
}

/** The cook of an id; refuses the field where this kitchen has none. */
export async function requireCook(scope: Scope, id: string): Promise<Cook> {
  const cook = await cookById(scope, id)
  if (cook) return cook
  throw new Refusal('not-found', 'This kitchen has no such cook.', {
    issues: [{ path: 'cookId', message: 'is not a cook here' }],
  })
}

/**
 * Keeps an offer; the same one again changes nothing. Throws `not-found` where its style or its supplier is not the
 * kitchen's, `pile-unknown` where its pile is no portion pile of the style, and `id-taken`.
 */
export async function createOffer(scope: Scope, offer: KitchenOffer): Promise<KitchenOffer> {
  const { style } = await requireStyle(scope, offer.styleId)
  await requireSupplier(scope, offer.supplierId)
  if (!style.piles.some((pile) => pile.id === offer.offer.pileId && pile.class === 'primary')) {
    throw new Refusal('pile-unknown', 'The offer is for no portion pile of this style.', {
      issues: [{ path: 'offer.pileId', message: 'is not a primary pile of this style' }],
    })
  }
  return createOnce({
    read: async () => (await store.offers(scope)).find(({ id }) => id === offer.id) ?? null,
    create: () => store.insertOffer(scope, offer),
    isSame: (existing) => isSameContent(existing, offer),
    taken: { path: 'id', detail: 'This id stands for another offer.' },
  })
}
