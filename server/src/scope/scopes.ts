import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Database } from '../database/index.ts'
import { Refusal } from '../http/index.ts'
import type { Actor, Clock, Scope } from './scope.ts'

/** How long a kitchen that was read is taken for granted: no weighing waits for the same row again and again. */
const KNOWN_MS = 5_000

interface InKitchen {
  params: { kitchenId: string }
}

export type Scopes = (request: InKitchen, actor?: Actor) => Promise<Scope>

/** Makes the scope of each request; refuses a kitchen that is not there. */
export function scopesOf(database: Database, clock: Clock): Scopes {
  const kitchens = new Map<string, { kitchen: Kitchen; readAtMs: number }>()
  return async ({ params: { kitchenId } }, actor = 'office') => {
    const before = kitchens.get(kitchenId)
    if (before && Date.now() - before.readAtMs < KNOWN_MS) return scope(before.kitchen, actor)
    const row = await database.models.Kitchen.findByPk(kitchenId)
    if (!row) throw new Refusal('not-found', 'There is no such kitchen.')
    const kitchen: Kitchen = row.get({ plain: true })
    kitchens.set(kitchenId, { kitchen, readAtMs: Date.now() })
    return scope(kitchen, actor)
  }
  function scope(kitchen: Kitchen, actor: Actor): Scope {
    return { database, kitchen, actor, transaction: null, clock }
  }
}
