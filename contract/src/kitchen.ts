import { PILE_CLASSES } from '@fleam/core'
import { z } from 'zod'
import { offer, valueSignMessage } from './fabrication-document.ts'
import { currency, id, minutes, money, name, positiveGrams, share, signedMoney } from './numbers.ts'

function isTimeZone(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}

/** What a kitchen says of itself at set-up. */
export const kitchenSetUp = z.strictObject({
  id,
  name,
  currency,
  units: z.enum(['metric', 'imperial']),
  timeZone: z.string().refine(isTimeZone, 'must be a time zone such as Europe/Vienna'),
  wagePerHour: money,
})
export const kitchen = kitchenSetUp.meta({ id: 'Kitchen' })
export const kitchens = z.array(kitchen)
export type Kitchen = z.infer<typeof kitchen>

export const cook = z.strictObject({ id, name, wagePerHour: money }).meta({ id: 'Cook' })
export const cooks = z.array(cook)
export type Cook = z.infer<typeof cook>

const styleBounds = z.strictObject({ target: positiveGrams, low: positiveGrams, high: positiveGrams })

export const stylePile = z
  .strictObject({
    name,
    class: z.enum(PILE_CLASSES),
    weighing: z.enum(['pieces', 'whole']),
    expectedShare: share.nullable(),
    portionsPerUnit: z.number().min(0).max(1000).nullable(),
    bounds: styleBounds.nullable(),
    landmark: z.string().max(200),
    valuePerKg: signedMoney.nullable(),
    usedShare: share.nullable(),
    processingPerKg: money.nullable(),
  })
  .superRefine((value, context) => {
    const sign = valueSignMessage(value)
    if (sign) context.addIssue({ code: 'custom', path: ['valuePerKg'], message: sign })
  })

export const style = z
  .strictObject({ id, name, minutesPerUnit: minutes, piles: z.array(stylePile).min(1).max(50) })
  .meta({ id: 'Style' })
export type Style = z.infer<typeof style>

export const item = z
  .strictObject({
    id,
    name,
    species: z.enum(['poultry', 'fish', 'red-meat']),
    unitName: z.strictObject({ one: name, many: name }),
    unitWeight: z.strictObject({ low: positiveGrams, usual: positiveGrams, high: positiveGrams }),
    styles: z.array(style).max(50),
  })
  .meta({ id: 'Item' })
export const items = z.array(item)
export type Item = z.infer<typeof item>

/** A supplier's ready-portioned offer as the kitchen keeps it, for one style's pile. */
export const kitchenOffer = z.strictObject({ id, styleId: id, supplier: name, offer }).meta({ id: 'KitchenOffer' })
export const kitchenOffers = z.array(kitchenOffer)
export type KitchenOffer = z.infer<typeof kitchenOffer>
