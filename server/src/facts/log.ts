import type { Fact } from '@fleam/core'
import { type Database, databaseAttributes, databaseCode } from '../database/index.ts'
import { notFound, Refusal, refuseOtherContent } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import { factOfRow, rowOfFact } from './rows.ts'
import { SharedInserts } from './shared-inserts.ts'
import * as store from './store.ts'

const MOST_ATTEMPTS = 4
const MAY_TRY_AGAIN = new Set(['ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'])

/** Stores what was done: append only, once for each id, whoever sends it how often. */
export class FactLog {
  readonly #inserts: SharedInserts
  readonly #attributes: ReturnType<typeof databaseAttributes>

  constructor({ sequelize, models }: Database) {
    this.#attributes = databaseAttributes(models.Fact, ['receivedAt'])
    this.#inserts = new SharedInserts(sequelize, 'facts', this.#attributes.columns)
  }

  /** Resolves with the ids once they are committed. Throws a `Refusal` that names the field, storing none of the list. */
  async append(scope: Scope, facts: readonly Fact[]): Promise<string[]> {
    let missing = eachOnce(facts)
    for (let attempt = 0; missing.length > 0; attempt++) {
      try {
        await this.#inserts.insert(missing.map((fact) => this.#attributes.valuesOf(rowOfFact(scope.kitchen.id, fact))))
        break
      } catch (error) {
        const code = databaseCode(error)
        if (code === 'ER_NO_REFERENCED_ROW_2') await refuseAstray(scope, facts)
        if (!MAY_TRY_AGAIN.has(code ?? '') || attempt >= MOST_ATTEMPTS) throw error
        // The common case is one insert; what is there already is looked up only when the database says so.
        missing = await missingOf(scope, facts)
      }
    }
    return facts.map((fact) => fact.id)
  }
}

/** Each fact of a list once; an id that stands for two things in it is refused. */
function eachOnce(facts: readonly Fact[]): Fact[] {
  const byId = new Map<string, Fact>()
  facts.forEach((fact, at) => {
    const before = byId.get(fact.id)
    refuseOtherContent(before === undefined || isSameFact(before, fact), `facts[${at}].id`)
    byId.set(fact.id, before ?? fact)
  })
  return [...byId.values()]
}

/** Facts that are not stored yet. An id that stands for something else, here or elsewhere, is refused. */
async function missingOf(scope: Scope, facts: readonly Fact[]): Promise<Fact[]> {
  const known = await store.rowsById(
    scope,
    facts.map((fact) => fact.id),
  )
  const missing = new Map<string, Fact>()
  facts.forEach((fact, at) => {
    const row = known.get(fact.id)
    if (!row) missing.set(fact.id, fact)
    else if (row.kitchenId !== scope.kitchen.id || !isSameFact(factOfRow(row), fact)) {
      throw new Refusal('id-taken', 'An id of this list stands for something else.', {
        issues: [{ path: `facts[${at}].id`, message: 'is taken' }],
      })
    }
  })
  return [...missing.values()]
}

/** What a fact says of itself again each time it is sent: when, in which place and who may be said anew, or not at all. */
const SAID_ANEW = ['order', 'takenAt', 'cookId'] as const
/** Decimals that the database keeps of a number. */
const DECIMALS = 9

/**
 * The same fact as the one that is stored. A version before this one named cooks, and what its outbox still holds
 * names none: it is kept all the same, and must not be refused.
 */
function isSameFact(stored: Fact, sent: Fact): boolean {
  const cookOf = (fact: Fact) => ('cookId' in fact ? fact.cookId : null)
  const isAnother = cookOf(sent) !== null && cookOf(sent) !== cookOf(stored)
  return !isAnother && saidBy(stored) === saidBy(sent)
}

const saidBy = (fact: Fact) =>
  JSON.stringify(
    Object.entries(fact)
      .filter(([field]) => !(SAID_ANEW as readonly string[]).includes(field))
      .map(([field, value]) => [field, typeof value === 'number' ? value.toFixed(DECIMALS) : value])
      .sort(),
  )

/** Says which field points at something that is not there, by throwing; returns where nothing does. */
async function refuseAstray(scope: Scope, facts: readonly Fact[]): Promise<void> {
  const benches = [...new Set(facts.flatMap(({ fabricationId }) => fabricationId ?? []))]
  const piles = await store.pilesOf(scope, benches)
  if (benches.some((id) => !piles.some((pile) => pile.fabricationId === id))) throw notFound('fabrication')
  const pilesOf = (fabricationId: string | null) =>
    new Set(piles.filter((pile) => pile.fabricationId === fabricationId).map((pile) => pile.id))
  const issues = facts.flatMap((fact, at) =>
    'pileId' in fact && !pilesOf(fact.fabricationId).has(fact.pileId)
      ? [{ path: `facts[${at}].pileId`, message: 'is not a pile of this fabrication' }]
      : [],
  )
  if (issues.length > 0) throw new Refusal('pile-unknown', 'Nothing of this list was stored.', { issues })
  throw notFound('reading')
}
