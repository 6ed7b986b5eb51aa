import { z } from 'zod'
import {
  FIRST_YEAR,
  HEAVIEST_GRAMS,
  LIGHTEST_GRAMS,
  MAX_MINUTES,
  MAX_MONEY,
  MAX_QUANTITY,
  MAX_SUM,
  SMALLEST_QUANTITY,
} from '../limits/index.ts'

const MAX_COUNT = 1_000_000

/** A sum of weights, each of which has its own limit. */
export const gramsInAll = z.number().min(0).meta({ description: 'grams' })
/** Grams, zero to a hundred tonnes. NaN, infinity and text are refused with the field's path. */
export const grams = z.number().min(0).max(HEAVIEST_GRAMS).meta({ description: 'grams' })
export const positiveGrams = z
  .number()
  .min(LIGHTEST_GRAMS)
  .max(HEAVIEST_GRAMS)
  .meta({ description: 'grams, a milligram or more' })
/** Money in major units of the kitchen's currency, zero or more. */
export const money = z.number().min(0).max(MAX_MONEY).meta({ description: 'money, major units' })
/** Money that may be a charge: haulage of waste is negative. */
export const signedMoney = z.number().min(-MAX_MONEY).max(MAX_MONEY).meta({ description: 'money, may be negative' })
export const minutes = z.number().min(0).max(MAX_MINUTES).meta({ description: 'minutes' })
/** A share above zero: what is kept of it is above zero too. */
export const positiveShare = z
  .number()
  .min(SMALLEST_QUANTITY)
  .max(1)
  .meta({ description: 'share, above 0 and up to 1' })
export const share = z.number().min(0).max(1).meta({ description: 'share, 0 to 1' })
/** Portions, kilos or packs of one line, zero or more. */
export const quantity = z.number().min(0).max(MAX_QUANTITY).meta({ description: 'portions, kilos or packs' })
/** A sum of money or quantities, which may be negative. */
export const sum = z.number().min(-MAX_SUM).max(MAX_SUM).meta({ description: 'a sum, may be negative' })
/** A day of the week, Monday is 1. */
export const weekday = z.number().int().min(1).max(7)
export const count = z.number().int().min(0).max(MAX_COUNT)
export const positiveCount = z.number().int().min(1).max(MAX_COUNT)

// Control characters have no place in a name and break line protocols and CSV readers.
const PRINTABLE = /^\P{Cc}*$/u
const PRINTABLE_LINES = /^(?:\P{Cc}|[\n\r\t])*$/u
export const name = z.string().trim().min(1).max(120).regex(PRINTABLE, 'must not hold control characters')
export const notes = z.string().trim().max(4000).regex(PRINTABLE_LINES, 'must not hold control characters')
export const currency = z
  .string()
  .regex(/^[A-Z]{3}$/, 'must be a currency code of three capital letters')
  .meta({ maxLength: 3 })
/** Compared in one form: capitals make no other id. */
export const id = z.uuid().toLowerCase().meta({ description: 'UUID' })
/** Days begin with the year. Instants are not held to it: a device whose clock was never set weighs all the same. */
const isOfOurTime = (text: string) => Number(text.slice(0, 4)) >= FIRST_YEAR
/** What comes in is held to it; what was stored before there was such a limit is read all the same. */
export const NOT_OF_OUR_TIME = `must not be before the year ${FIRST_YEAR}`
export const instant = z.iso.datetime().meta({ description: 'UTC instant, ISO 8601' })
export const day = z.iso
  .date()
  .refine(isOfOurTime, NOT_OF_OUR_TIME)
  .meta({ description: 'calendar day of the kitchen, ISO 8601' })
