import { labelMismatch } from '@fleam/core/receiving'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect } from 'react'
import { type Resolver, type UseFormReturn, useForm } from 'react-hook-form'
import { z } from 'zod'
import type { LotDraft } from './lot-draft.ts'

const NO_NUMBER = 'This is not a number.'

const lotCase = z.looseObject({
  label: z.string().nullable(),
  invoiceWeight: z.number('Say what the invoice says.').gt(0, 'Say what the invoice says.'),
  weighed: z.number('This is not a weight.').nullable(),
})

/** What a delivery needs before it is accepted, each in words beside its field. */
export const lotFields = z
  .looseObject({
    itemId: z.string('Say what came.'),
    supplier: z.string().trim().min(1, 'Say who brought it.'),
    code: z.string().nullable(),
    gtin: z.string().nullable(),
    price: z.looseObject({ amount: z.number('Say the price on the invoice.'), per: z.string() }),
    extras: z.number(NO_NUMBER).nullable(),
    pieces: z.number(NO_NUMBER).nullable(),
    receivedOn: z.string('Say the day.'),
    cases: z.array(lotCase).min(1, 'Scan or add at least one case.'),
  })
  .superRefine((lot, context) => {
    if (lot.price.per === 'piece' && lot.pieces === null) {
      context.addIssue({ code: 'custom', path: ['pieces'], message: 'Say how many pieces came.' })
    }
    lot.cases.forEach(({ label }, index) => {
      if (label === null || labelMismatch(label, lot, lot.receivedOn) === null) return
      const message = 'Its label is of another lot or article than this delivery.'
      context.addIssue({ code: 'custom', path: ['cases', index, 'invoiceWeight'], message })
    })
  })

export type LotFormState = UseFormReturn<LotDraft>

/** The form of a delivery; every change is told, so that a device can keep what was begun. */
export function useLotForm(start: LotDraft, onChange?: (draft: LotDraft) => void): LotFormState {
  const form = useForm<LotDraft>({
    resolver: zodResolver(lotFields) as unknown as Resolver<LotDraft>,
    defaultValues: start,
  })
  const { subscribe } = form
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => onChange?.(values) }),
    [subscribe, onChange],
  )
  return form
}
