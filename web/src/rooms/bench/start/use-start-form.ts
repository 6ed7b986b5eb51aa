import type { Cook, FabricationRow, Item, LotTrace, Style } from '@fleam/contract'
import { MAX_UNITS, PRICE_UNITS, type PriceUnit, purchaseFromLot, RHYTHMS } from '@fleam/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { type Resolver, useForm } from 'react-hook-form'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { z } from 'zod'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useStartFabrication } from '../../../data/queries.ts'
import { dayIn } from '../../../parts/dates.ts'

const weight = (missing: string) => z.number({ error: missing }).gt(0, missing)
const maybeNumber = z.number({ error: 'Check this number, or leave it empty.' }).nullable()

/** What is asked before weighing, as it is typed; `null` where nobody said it. */
const startFields = z.object({
  styleId: z.string().min(1),
  chosen: z.record(z.string(), z.string()),
  rhythm: z.enum(RHYTHMS),
  units: z
    .number({ error: 'How many are on the board?' })
    .int('Whole ones only.')
    .min(1, 'At least one.')
    .max(MAX_UNITS),
  invoiceWeight: weight('What does the invoice say?'),
  receivedWeight: maybeNumber,
  purge: maybeNumber,
  /** Nobody has to know it: it is the price book's, or is told later. */
  amount: maybeNumber,
  per: z.enum(PRICE_UNITS),
  extras: maybeNumber,
  supplier: z.string().max(120),
  cookId: z.string(),
  /** Why a lot in quarantine is cut from. */
  lotReason: z.string().max(600, 'At most 600 letters.'),
  bounds: z.record(
    z.string(),
    z
      .object({ target: weight('What should one weigh?'), low: weight('At least?'), high: weight('At most?') })
      .refine(({ low, target, high }) => low <= target && target <= high, {
        path: ['target'],
        error: 'The target lies between the lightest and the heaviest.',
      }),
  ),
})
/** Of a lot in quarantine somebody named says why it is cut from. */
const fromQuarantine = startFields.extend({
  lotReason: z.string().trim().min(1, 'Why is it cut from quarantine?').max(600, 'At most 600 letters.'),
  cookId: z.string().min(1, 'Who cuts it?'),
})

/** While it is typed anything may be missing. */
export type StartFields = Omit<z.infer<typeof startFields>, 'units' | 'invoiceWeight'> & {
  units: number | null
  invoiceWeight: number | null
}

export interface StartFormProps {
  items: Item[]
  cooks: Cook[]
  /** Earlier fabrications, newest first: what was paid last time is offered again. */
  latest: FabricationRow[]
  /** A raw lot that is cut from: its item, price, weights and supplier are offered. */
  lot?: LotTrace | null
}

/** The newest fabrication of a style, or of its item where the style is new. */
const lastOf = (latest: readonly FabricationRow[], item: Item, style: Style) =>
  latest.find((row) => row.styleId === style.id) ?? latest.find((row) => row.itemId === item.id)

/** The form of a start: what may be cut, what is offered, and what happens when it is sent. */
export function useStartForm({ items, cooks, latest, lot = null }: StartFormProps) {
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
  const drawn = lot && purchaseFromLot(lot.lot, lot.usedWeight)
  const barePer: PriceUnit = kitchen.units === 'metric' ? 'kg' : 'lb'
  const rowOf = (styleId: string) => {
    const found = styles.find(({ style }) => style.id === styleId)
    return found && lastOf(latest, found.item, found.style)
  }
  /** What was said of a style last time; a price that nobody knew then is none. */
  const offered = (styleId: string) => {
    const row = rowOf(styleId)
    const bought = row?.document.purchase
    return {
      units: bought?.pieces ?? 1,
      amount: row && row.priceFrom !== 'none' ? (bought?.price.amount ?? null) : null,
      per: bought?.price.per ?? barePer,
      extras: bought?.extras ?? null,
      supplier: row?.document.meta?.supplier ?? '',
    }
  }
  const firstId = (styles.find(({ style }) => style.id === latest[0]?.styleId) ?? styles[0])?.style.id ?? ''
  const last = offered(firstId)
  const form = useForm<StartFields, unknown, StartFields>({
    // What is missing while it is typed is there once the schema has let it pass.
    resolver: zodResolver(
      lot?.lot.standing === 'quarantined' ? fromQuarantine : startFields,
    ) as unknown as Resolver<StartFields>,
    defaultValues: {
      styleId: firstId,
      chosen: {},
      rhythm: 'unit',
      units: drawn?.pieces ?? last.units,
      invoiceWeight: drawn?.invoiceWeight ?? null,
      receivedWeight: drawn?.receivedWeight ?? null,
      purge: null,
      amount: drawn?.price.amount ?? last.amount,
      per: drawn?.price.per ?? last.per,
      extras: (drawn ? drawn.extras : last.extras) ?? null,
      supplier: lot?.lot.supplier ?? last.supplier,
      cookId: cooks.find((cook) => cook.id === rowOf(firstId)?.cookId)?.id ?? cooks[0]?.id ?? '',
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
  const submit = form.handleSubmit((said) => {
    const { units, invoiceWeight, receivedWeight, purge, amount, per, extras, bounds } = said
    const now = new Date()
    start.mutate(
      {
        id: newId(),
        styleId: said.styleId,
        units: units as number,
        purchase: {
          price: amount === null ? null : { amount, per },
          invoiceWeight: invoiceWeight as number,
          pieces: units as number,
          cases: drawn?.cases ?? 1,
          ...(receivedWeight === null ? {} : { receivedWeight }),
          ...(purge === null ? {} : { purge }),
          ...(extras === null ? {} : { extras }),
        },
        cookId: said.cookId || null,
        supplier: said.supplier.trim() || null,
        lot: lot?.lot.code ?? null,
        lotId: lot?.lot.id ?? null,
        lotReason: said.lotReason.trim() || null,
        date: dayIn(kitchen.timeZone, now),
        startedAt: now.toISOString(),
        rhythm: said.rhythm,
        chosen: said.chosen,
        bounds: Object.entries(bounds).map(([stylePileId, each]) => ({ stylePileId, ...each })),
      },
      { onSuccess: ({ record }) => navigate(`/bench/${record.id}`) },
    )
  })
  return { form, start, open, styles, chooseStyle, submit, hasLast: rowOf(form.watch('styleId')) !== undefined }
}
export type StartFormState = ReturnType<typeof useStartForm>
