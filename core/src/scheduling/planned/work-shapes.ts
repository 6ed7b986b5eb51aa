import { z } from 'zod'
import { SPECIES } from '../../style/index.ts'
import { count, positiveCount } from '../../values/index.ts'
import { MINUTES_OF_A_DAY, USUAL_WORK } from './settings.ts'

/** Counted from midnight. */
export const minuteOfDay = z.number().min(0).max(MINUTES_OF_A_DAY)

/** A stretch at the board in a usual week; day 1 is Monday. */
const cookShift = z
  .strictObject({ day: z.number().int().min(1).max(7), from: minuteOfDay, until: minuteOfDay })
  .refine(({ from, until }) => from < until, { path: ['until'], message: 'must be after its beginning' })
export type CookShift = z.infer<typeof cookShift>

const MAX_SHIFTS = 28
/** A usual week at the board; null where nobody said. */
export const cookWeek = z.array(cookShift).max(MAX_SHIFTS).nullable()

/** What a cook may cut; null where nobody said, which is everything. */
export const cookSkills = z.array(z.enum(SPECIES)).max(SPECIES.length).nullable()

/** What a kitchen has for its work, and what nobody told and is assumed. */
export const workSettings = z.strictObject({
  boards: positiveCount.max(40),
  saws: count.max(40),
  stoves: count.max(40),
  /** The cooks' hours begin. */
  begins: minuteOfDay,
  service: minuteOfDay,
  /** The last one leaves the kitchen. */
  closes: minuteOfDay.default(USUAL_WORK.closes),
  /** So long before service everything is done. */
  buffer: minuteOfDay,
  /** It is best done so long before that: what goes wrong in a morning is made up for. */
  slack: minuteOfDay.default(USUAL_WORK.slack),
  /** A load is back in the cold within so many minutes. */
  boardMinutes: minuteOfDay,
  packMinutes: minuteOfDay,
  setHours: z.number().min(0).max(72),
  stockHours: z.number().min(0).max(72),
  /** The board is cleaned for so long where species follow in the order fish, red meat, poultry, and the other way. */
  cleanDown: minuteOfDay,
  against: minuteOfDay,
})
export type WorkSettings = z.infer<typeof workSettings>

const MAX_HOURS = 240
const MAX_LINE = 12
const hours = z.number().min(0).max(MAX_HOURS)

/** What a style takes before and after the board. Hours, 0 where there is nothing of the kind. */
export const styleWork = z
  .strictObject({
    /** It comes frozen and thaws in the cold first. */
    isFrozen: z.boolean(),
    /** Uncovered in the cold before it is cut. */
    dryHours: hours,
    /** Out of the cold before it is cut, load by load. */
    temperHours: hours,
    /** Bonded or tied pieces set in the cold. */
    setHours: hours,
    cureHours: hours,
    /** In hot fat, on a stove. */
    confitHours: hours,
    /** Cooled after it was hot, before it is packed. */
    chillHours: hours,
    /** Bones in the pot. */
    stockHours: hours,
    /** Cooks who stand in a line, each at one part of the steps for all; 1 where one cook does all of each unit. */
    line: positiveCount.max(MAX_LINE),
    /** Helpers who carry full trays into the cold while the line works. */
    carriers: count.max(MAX_LINE),
  })
  .meta({ id: 'StyleWork' })
export type StyleWork = z.infer<typeof styleWork>
