import { LIGHT_PLATES } from '@fleam/core/buying'
import { offerOfPile } from '@fleam/core/fabrication'
import { LONGEST_COOK_NAME } from '@fleam/core/limits'
import { cookSkills, cookWeek } from '@fleam/core/scheduling'
import { currency, id, money, name, notes } from '@fleam/core/values'
import { z } from 'zod'

function isTimeZone(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}

/** The longest name of a time zone has half as many letters. */
const LONGEST_ZONE = 64
const decimalMark = z.enum(['point', 'comma'])
const lightPlates = z.enum(LIGHT_PLATES)

/** What a kitchen says of itself at set-up. */
export const kitchenSetUp = z.strictObject({
  id,
  name,
  currency,
  units: z.enum(['metric', 'imperial']),
  /** What stands before the decimals on the screens and papers of this kitchen. */
  decimalMark: decimalMark.default('point'),
  timeZone: z.string().max(LONGEST_ZONE).refine(isTimeZone, 'must be a time zone such as Europe/Vienna'),
  wagePerHour: money,
  /** What a plate is that is lighter than was wanted, and within its bounds. */
  lightPlates: lightPlates.default('whole'),
  /** Where goods are delivered, as it stands on a letter. */
  address: notes.nullable().default(null),
})
/** What may be changed of a kitchen: its money is that of everything that was ever bought, and stays. */
export const kitchenEdit = kitchenSetUp
  .omit({ id: true, currency: true })
  // A change says all of it: what is left out would fall back unseen.
  .extend({ decimalMark, lightPlates: lightPlates.optional().meta({ description: 'left out: as it was' }) })
  .meta({ id: 'KitchenEdit' })
export type KitchenEdit = z.infer<typeof kitchenEdit>
export const kitchen = kitchenSetUp.extend({ decimalMark, lightPlates }).meta({ id: 'Kitchen' })
export const kitchens = z.array(kitchen)
export type Kitchen = z.infer<typeof kitchen>

export const cook = z
  .strictObject({
    id,
    name,
    wagePerHour: money,
    week: cookWeek.default(null),
    skills: cookSkills.default(null),
  })
  .meta({ id: 'Cook' })
/** A cook as one is added. */
export const newCook = cook.extend({ name: name.max(LONGEST_COOK_NAME) })
/** What may be changed of a cook. */
export const cookEdit = newCook
  .omit({ id: true })
  .extend({ week: cookWeek, skills: cookSkills })
  .meta({ id: 'CookEdit' })
/** The weeks of several cooks, changed together or not at all. */
export const cookWeeks = z
  .strictObject({
    cooks: z
      .array(z.strictObject({ id, week: cookWeek, skills: cookSkills }))
      .min(1)
      .max(200),
  })
  .meta({ id: 'CookWeeks' })
export type CookWeeks = z.infer<typeof cookWeeks>
export type CookEdit = z.infer<typeof cookEdit>
export const cooks = z.array(cook)
export type Cook = z.infer<typeof cook>

/** A supplier's ready-portioned offer as the kitchen keeps it, for a pile of one style. */
export const kitchenOffer = z
  .strictObject({ id, styleId: id, supplierId: id, offer: offerOfPile })
  .meta({ id: 'KitchenOffer' })
export const kitchenOffers = z.array(kitchenOffer)
export type KitchenOffer = z.infer<typeof kitchenOffer>
