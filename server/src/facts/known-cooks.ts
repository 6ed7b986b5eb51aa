import { ofKitchen, type Scope, within } from '../scope/index.ts'

/**
 * Which cooks there are. One that is known stays so, because cooks are added and never taken away: nearly every
 * weighing is answered from memory.
 */
export class KnownCooks {
  readonly #known = new Map<string, Set<string>>()

  /** Those of some ids that are no cooks of the kitchen. */
  async strangers(scope: Scope, ids: Iterable<string>): Promise<Set<string>> {
    const known = this.#known.get(scope.kitchen.id) ?? new Set()
    const asked = [...new Set(ids)].filter((id) => !known.has(id))
    if (asked.length === 0) return new Set()
    const rows = await scope.database.models.Cook.findAll({
      attributes: ['id'],
      where: ofKitchen(scope, { id: asked }),
      raw: true,
      ...within(scope),
    })
    for (const { id } of rows) known.add(id)
    this.#known.set(scope.kitchen.id, known)
    return new Set(asked.filter((id) => !known.has(id)))
  }
}
