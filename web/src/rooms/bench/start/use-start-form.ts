import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import type { Cook } from '@fleam/contract/kitchen/schemas'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import type { WholeForm } from '@fleam/core/buying'
import { dayIn } from '@fleam/core/calendar'
import type { PriceUnit } from '@fleam/core/fabrication'
import type { PlannedFabrication } from '@fleam/core/plans'
import { purchaseFromLot, unitsFromLot } from '@fleam/core/receiving'
import type { Item, Style } from '@fleam/core/style'
import { zodResolver } from '@hookform/resolvers/zod'
import { type Resolver, useForm } from 'react-hook-form'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { type StartRequest, useStartFabrication } from '../../../data/queries.ts'
import { fromQuarantine, type StartFields, startFields } from './start-fields.ts'

export interface StartFormProps {
  items: Item[]
  cooks: Cook[]
  /** Earlier fabrications, newest first: what was paid last time is offered again. */
  latest: FabricationRow[]
  /** A raw lot that is cut from: its item, price, weights and supplier are offered. */
  lot?: LotTrace | null
  /** What of a plan it is: its style, number, supplier and cook are offered. */
  planned?: PlannedFabrication | null
  /** The article that its plan buys, as the price book has it; null where the book has it no more. */
  plannedForm?: WholeForm | null
}

/** The newest fabrication of a style, or of its item where the style is new. */
const lastOf = (latest: readonly FabricationRow[], item: Item, style: Style) =>
  latest.find((row) => row.styleId === style.id) ?? latest.find((row) => row.itemId === item.id)

interface Around {
  lot: LotTrace | null
  planned: PlannedFabrication | null
  cases: number
  timeZone: string
  /** What is estimated to come, grams, where no invoice is there yet. */
  estimatedWeight: number | null
}

/** What is sent: a new fabrication, begun now. */
function requestOf(said: StartFields, { lot, planned, cases, timeZone, estimatedWeight }: Around): StartRequest {
  const { units, invoiceWeight, receivedWeight, purge, amount, per, extras, bounds } = said
  const now = new Date()
  return {
    id: newId(),
    styleId: said.styleId,
    units: units as number,
    purchase: {
      price: amount === null ? null : { amount, per },
      invoiceWeight: invoiceWeight as number,
      pieces: units as number,
      cases,
      ...(receivedWeight === null ? {} : { receivedWeight }),
      ...(purge === null ? {} : { purge }),
      ...(extras === null ? {} : { extras }),
    },
    cookId: said.cookId || null,
    supplier: said.supplier.trim() || null,
    lot: lot?.lot.code ?? null,
    lotId: lot?.lot.id ?? null,
    lotReason: said.lotReason.trim() || null,
    // Cut otherwise than it was planned it is another fabrication, and the planned one still waits.
    plannedId: planned && planned.styleId === said.styleId ? planned.id : null,
    date: dayIn(timeZone, now),
    startedAt: now.toISOString(),
    rhythm: said.rhythm,
    weightFrom: estimatedWeight !== null && invoiceWeight === estimatedWeight ? 'estimated' : 'invoice',
    chosen: said.chosen,
    bounds: Object.entries(bounds).map(([stylePileId, each]) => ({ stylePileId, ...each })),
  }
}

/** What was said of a style last time; a price that nobody knew then is none. */
function offeredBy(row: FabricationRow | undefined, barePer: PriceUnit) {
  const bought = row?.document.purchase
  return {
    units: bought?.pieces ?? 1,
    amount: row && row.priceFrom !== 'none' ? (bought?.price.amount ?? null) : null,
    per: bought?.price.per ?? barePer,
    extras: bought?.extras ?? null,
    supplier: row?.document.meta?.supplier ?? '',
  }
}

/** What the plan buys: its article's supplier, price and delivery. */
const offeredByPlan = ({ supplier, quote }: WholeForm) => ({
  units: 1,
  amount: quote.price.amount,
  per: quote.price.per,
  extras: quote.delivery > 0 ? quote.delivery : null,
  supplier,
})

/** The form of a start: what may be cut, what is offered, and what happens when it is sent. */
export function useStartForm({ items, cooks, latest, lot = null, planned = null, plannedForm = null }: StartFormProps) {
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const start = useStartFabrication()
  const open = items.filter(
    (item) =>
      !item.isArchived &&
      item.styles.some((style) => !style.isArchived) &&
      (lot === null || item.id === lot.lot.itemId),
  )
  const styles = open.flatMap((item) => item.styles.map((style) => ({ item, style })))
  const drawn =
    lot && (planned ? unitsFromLot(lot.lot, lot.usedWeight, planned.units) : purchaseFromLot(lot.lot, lot.usedWeight))
  const barePer: PriceUnit = kitchen.units === 'metric' ? 'kg' : 'lb'
  const rowOf = (styleId: string) => {
    const found = styles.find(({ style }) => style.id === styleId)
    return found && lastOf(latest, found.item, found.style)
  }
  const offered = (styleId: string) => offeredBy(rowOf(styleId), barePer)
  const first = styles.find(({ style }) => style.id === (planned?.styleId ?? latest[0]?.styleId)) ?? styles[0]
  const firstId = first?.style.id ?? ''
  // What is planned is bought as its plan says, whatever was cut last.
  const last = planned && plannedForm ? offeredByPlan(plannedForm) : offered(firstId)
  const estimatedWeight = planned && first && !drawn ? planned.units * first.item.unitWeight.usual : null
  const form = useForm<StartFields, unknown, StartFields>({
    // What is missing while it is typed is there once the schema has let it pass.
    resolver: zodResolver(
      lot?.lot.standing === 'quarantined' ? fromQuarantine : startFields,
    ) as unknown as Resolver<StartFields>,
    defaultValues: {
      styleId: firstId,
      chosen: {},
      rhythm: 'unit',
      units: planned?.units ?? drawn?.pieces ?? last.units,
      invoiceWeight: drawn?.invoiceWeight ?? estimatedWeight,
      receivedWeight: drawn?.receivedWeight ?? null,
      purge: null,
      amount: drawn?.price.amount ?? last.amount,
      per: drawn?.price.per ?? last.per,
      extras: (drawn ? drawn.extras : last.extras) ?? null,
      supplier: lot?.lot.supplier ?? last.supplier,
      cookId:
        planned?.cookId ??
        planned?.begins?.cookId ??
        cooks.find((cook) => cook.id === rowOf(firstId)?.cookId)?.id ??
        cooks[0]?.id ??
        '',
      bounds: {},
      lotReason: '',
    },
  })
  /** Another style: what it was bought for last time is offered, and nothing of the one before. */
  const chooseStyle = (styleId: string) => {
    form.setValue('styleId', styleId)
    form.setValue('chosen', {})
    form.setValue('bounds', {})
    // What was bought stays what was bought, however it is cut.
    if (lot) return
    for (const [field, value] of Object.entries(offered(styleId))) form.setValue(field as keyof StartFields, value)
  }
  const submit = form.handleSubmit((fields) =>
    start.mutate(
      requestOf(fields, { lot, planned, estimatedWeight, cases: drawn?.cases ?? 1, timeZone: kitchen.timeZone }),
      { onSuccess: ({ record }) => navigate(`/bench/${record.id}`) },
    ),
  )
  const before = rowOf(form.watch('styleId'))
  const lastPrice = before && before.priceFrom !== 'none' ? before.document.purchase.price : null
  return {
    form,
    start,
    open,
    styles,
    chooseStyle,
    submit,
    lastPrice,
    hasLast: before !== undefined && plannedForm === null,
    isEstimated: estimatedWeight !== null,
  }
}
export type StartFormState = ReturnType<typeof useStartForm>
