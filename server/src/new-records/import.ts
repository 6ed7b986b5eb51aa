import type { FabricationRecord, FabricationState } from '@fleam/contract/fabrication/schemas'
import { documentOf, type FabricationDocument, type Pile, type PlannedPile } from '@fleam/core/fabrication'
import type { Reading } from '@fleam/core/facts'
import { wholeMilligrams } from '@fleam/core/units'
import { v7 as newId } from 'uuid'
import { insertState, recordById, stateById } from '../fabrication/index.ts'
import { createOnce, isSameContent, Refusal } from '../http/index.ts'
import { dayOf, inTransaction, type Scope } from '../scope/index.ts'
import { type NameDecisions, type ResolvedNames, resolveNames } from './names.ts'

/**
 * Keeps a document of elsewhere as a closed record: its weights become readings, so that it appraises the same. Its
 * names are resolved here, once; where one fits nothing, or several things, it is refused until somebody decides.
 */
export function importDocument(
  scope: Scope,
  id: string,
  document: FabricationDocument,
  decisions: NameDecisions,
): Promise<FabricationState> {
  refuseNothingWeighed(document)
  const stateWith = (names: ResolvedNames) => closedState(scope, id, document, names)
  let kept: FabricationState['facts'] = []
  return createOnce({
    read: () => stateById(scope, id),
    create: () =>
      // A supplier that is added for it goes again where the record cannot be kept.
      inTransaction(scope, async (inside) => {
        const { record, facts } = stateWith(await resolveNames(inside, document, decisions))
        await insertState(inside, record, facts)
        kept = facts
      }),
    // Ten thousand weighings that were just stored are not fetched again: whoever weighs would wait for them.
    readCreated: async () => {
      const record = await recordById(scope, id)
      return record && { record, facts: kept }
    },
    isSame: (known) => isSameRecord(known, stateWith(NO_NAMES)),
    taken: { path: 'id', detail: 'This id stands for another record.' },
  })
}

const NO_NAMES: ResolvedNames = { item: null, style: null, supplierId: null, cookId: null }

/** The same weights at the same prices; one that was changed since is not held against how it began. */
function isSameRecord(existing: FabricationState, sent: FabricationState): boolean {
  const contentOf = ({ record, facts }: FabricationState) => {
    const { item: _item, style: _style, meta: _meta, piles, ...document } = documentOf(record, facts)
    // What a pile is may have been known here, where the document did not say it.
    return { ...document, piles: piles.map(({ kind: _kind, ...pile }) => pile) }
  }
  return existing.record.version > 1 || isSameContent(contentOf(existing), contentOf(sent))
}

/** A piece of no weight would not be there when the record is read again. */
function refuseNothingWeighed(document: FabricationDocument): void {
  const issues = nothingWeighed(document)
  if (issues.length > 0) throw new Refusal('invalid-input', 'A piece weighs nothing.', { issues })
}

/** Pieces of a document that weigh less than a milligram, each with its path; empty where there is none. */
export function nothingWeighed({ piles }: FabricationDocument): { path: string; message: string }[] {
  return piles.flatMap((pile, index) =>
    (pile.pieces ?? []).flatMap((grams, place) =>
      wholeMilligrams(grams) > 0
        ? []
        : [{ path: `piles[${index}].pieces[${place}]`, message: 'must be a milligram or more' }],
    ),
  )
}

/** A document as a closed record with its weighings, under the names that were read. */
export function closedState(
  scope: Scope,
  id: string,
  document: FabricationDocument,
  names: ResolvedNames,
): FabricationState {
  const record = closedRecord(scope, id, document, names)
  return { record, facts: readingsOf(document, record, record.startedAt) }
}

function closedRecord(
  scope: Scope,
  id: string,
  document: FabricationDocument,
  names: ResolvedNames,
): FabricationRecord {
  const takenAt = scope.clock.now().toISOString()
  const date = document.meta?.date ?? dayOf(scope)
  // One of another day stands among those of that day, and not before those of today.
  const startedAt = date < dayOf(scope) ? `${date}T12:00:00.000Z` : takenAt
  const piles = document.piles.map((pile) => plannedFromPile(pile, names))
  // The document was checked: each of its offers is for one of its piles.
  const pileNamed = (name: string) => piles.find((pile) => pile.name === name) as PlannedPile
  return {
    id,
    version: 1,
    status: 'closed',
    itemId: names.item?.id ?? null,
    item: document.item,
    style: document.style,
    species: names.item?.species ?? null,
    styleId: names.style?.id ?? null,
    lotId: null,
    units: document.purchase.pieces ?? 1,
    rhythm: 'unit',
    drawing: null,
    shape: names.item?.shape ?? null,
    steps: [],
    choices: [],
    causes: [],
    currency: document.currency,
    purchase: document.purchase,
    labour: [...(document.labour ?? [])],
    labourFrom: 'typed',
    priceFrom: 'typed',
    weightFrom: 'invoice',
    leftOut: null,
    settled: [],
    consumables: [...(document.consumables ?? [])],
    piles,
    offers: (document.offers ?? []).map(({ pile, ...offer }) => ({ ...offer, pileId: pileNamed(pile).id })),
    creditPolicy: document.creditPolicy,
    allocation: document.allocation,
    confirmed: document.confirmed ?? false,
    date,
    cookId: names.cookId,
    cook: document.meta?.cook ?? null,
    supplierId: names.supplierId,
    supplier: document.meta?.supplier ?? null,
    lot: document.meta?.lot ?? null,
    notes: document.meta?.notes ?? null,
    startedAt,
    closedAt: takenAt,
    updatedAt: takenAt,
  }
}

function readingsOf(document: FabricationDocument, record: FabricationRecord, takenAt: string): Reading[] {
  const weights = document.piles.flatMap((pile, index) =>
    (pile.pieces ?? [pile.weight ?? 0])
      .map(wholeMilligrams)
      .filter((grams) => grams > 0)
      .map((grams) => ({ grams, pileId: (record.piles[index] as PlannedPile).id })),
  )
  return weights.map(({ grams, pileId }, index) => ({
    kind: 'reading',
    id: newId(),
    order: index + 1,
    takenAt,
    fabricationId: record.id,
    pileId,
    grams,
    source: 'imported',
    cookId: null,
    pieces: null,
  }))
}

function plannedFromPile(pile: Pile, { style }: ResolvedNames): PlannedPile {
  const planned = style?.piles.find((other) => other.name === pile.name)
  return {
    id: newId(),
    stylePileId: planned?.id ?? null,
    kind: pile.kind ?? planned?.kind ?? null,
    cookingLoss: planned?.cookingLoss ?? null,
    name: pile.name,
    class: pile.class,
    weighing: pile.pieces ? 'pieces' : 'whole',
    expectedShare: null,
    portions: pile.portions ?? null,
    target: pile.target ?? null,
    low: pile.low ?? null,
    high: pile.high ?? null,
    valuePerKg: pile.valuePerKg ?? null,
    usedShare: pile.usedShare ?? null,
    processingPerKg: pile.processingPerKg ?? null,
  }
}
