import type { FactsKept, NotAFact } from '@fleam/contract/facts/schemas'
import type { Fact } from '@fleam/core/facts'
import { type Database, databaseAttributes, databaseCode, factTable } from '../database/index.ts'
import { notFound } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import { KnownCooks } from './known-cooks.ts'
import { isSameFact } from './same-fact.ts'
import { SharedInserts } from './shared-inserts.ts'
import { Sorting, TAKEN } from './sorting.ts'
import * as store from './store.ts'

const MAX_ATTEMPTS = 4
const MAY_TRY_AGAIN = new Set(['ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'])

/** Stores what was done: append only, once for each id, whoever sends it how often. */
export class FactLog {
  readonly #inserts: SharedInserts
  readonly #cooks = new KnownCooks()
  readonly #attributes: ReturnType<typeof databaseAttributes>

  constructor({ sequelize, models }: Database) {
    this.#attributes = databaseAttributes(models.Fact, ['receivedAt'])
    this.#inserts = new SharedInserts(sequelize, 'facts', this.#attributes.columns)
  }

  /**
   * Each of a list by itself: stored, known already, or refused with its reason; resolves once what is kept is
   * committed. Where none can be kept, throws the refusal of the first.
   */
  async append(scope: Scope, list: readonly (Fact | NotAFact)[]): Promise<FactsKept> {
    const sorting = new Sorting(list)
    await this.#refuseStrangers(scope, sorting)
    for (let attempt = 0; sorting.missing().length > 0; attempt++) {
      const missing = sorting.missing()
      try {
        await this.#insert(scope, missing)
        break
      } catch (error) {
        const code = databaseCode(error)
        if (attempt >= MAX_ATTEMPTS) throw error
        // The common case is one insert; what is there already, or leads nowhere, is looked up when the database says so.
        if (code === 'ER_DUP_ENTRY') await sortKnown(scope, sorting)
        else if (code === 'ER_NO_REFERENCED_ROW_2') {
          if (!(await sortAstray(scope, sorting))) await this.#insertSingly(scope, sorting)
        } else if (!MAY_TRY_AGAIN.has(code ?? '')) throw error
      }
    }
    return sorting.result()
  }

  /** Refuses what somebody did who is no cook here; what is stored already was kept before there was such a look. */
  async #refuseStrangers(scope: Scope, sorting: Sorting): Promise<void> {
    const cookOf = (fact: Fact) => ('cookId' in fact ? fact.cookId : null)
    const strangers = await this.#cooks.strangers(
      scope,
      sorting.missing().flatMap((fact) => cookOf(fact) ?? []),
    )
    if (strangers.size === 0) return
    await sortKnown(scope, sorting)
    for (const fact of sorting.missing()) {
      const cook = cookOf(fact)
      if (cook === null || !strangers.has(cook)) continue
      sorting.refuse(fact.id, 'not-found', 'cookId', 'This kitchen has no such cook.', 'is not a cook here')
    }
  }

  #insert({ kitchen }: Scope, facts: readonly Fact[]): Promise<void> {
    return this.#inserts.insert(facts.map((fact) => this.#attributes.valuesOf(factTable.toRow(kitchen.id, fact))))
  }

  /** In the order in which one may point at another, so that one that points at what is not there fails alone. */
  async #insertSingly(scope: Scope, sorting: Sorting): Promise<void> {
    const rank = (fact: Fact) => (fact.kind === 'void' ? 2 : fact.kind === 'move' || fact.kind === 'count' ? 1 : 0)
    for (const fact of [...sorting.missing()].sort((a, b) => rank(a) - rank(b))) {
      try {
        await this.#insert(scope, [fact])
        sorting.settle(fact.id)
      } catch (error) {
        const code = databaseCode(error)
        if (code === 'ER_DUP_ENTRY') await sortKnown(scope, sorting)
        else if (MAY_TRY_AGAIN.has(code ?? '')) return
        else if (code !== 'ER_NO_REFERENCED_ROW_2') throw error
        else sorting.refuse(fact.id, 'not-found', targetField(fact), 'This bench has no such weighing or mark.')
      }
    }
  }
}

const targetField = (fact: Fact) => (fact.kind === 'void' ? 'factId' : 'readingId')

/** Settles what is stored already; an id that stands for something else is refused. */
async function sortKnown(scope: Scope, sorting: Sorting): Promise<void> {
  const missing = sorting.missing()
  const known = await store.rowsById(
    scope,
    missing.map((row) => row.id),
  )
  for (const other of missing) {
    const row = known.get(other.id)
    if (!row) continue
    if (isSameFact(factTable.fromRow(row), other)) sorting.settle(other.id)
    else sorting.refuse(other.id, 'id-taken', 'id', TAKEN, 'is taken')
  }
}

/** Refuses what points at a fabrication or a pile that is not there; false where nothing does. */
async function sortAstray(scope: Scope, sorting: Sorting): Promise<boolean> {
  const missing = sorting.missing()
  const benches = [...new Set(missing.flatMap(({ fabricationId }) => fabricationId ?? []))]
  const piles = await store.pilesOf(scope, benches)
  const astray = missing.filter((row) => {
    const pilesThere = piles.filter((pile) => pile.fabricationId === row.fabricationId)
    if (row.fabricationId !== null && pilesThere.length === 0) {
      sorting.refuse(row.id, 'not-found', 'fabricationId', notFound('fabrication').message)
      return true
    }
    if (!('pileId' in row) || pilesThere.some((pile) => pile.id === row.pileId)) return false
    sorting.refuse(row.id, 'pile-unknown', 'pileId', PILE_UNKNOWN, 'is not a pile of this fabrication')
    return true
  })
  return astray.length > 0
}

const PILE_UNKNOWN = 'This fabrication has no such pile.'
