import { keptJudgement } from '@fleam/contract/fabrication/judgement'
import type { KeptBeam } from '@fleam/core/beam'
import { BALANCES, PILE_CLASSES } from '@fleam/core/fabrication'
import type { TakenTwice } from '@fleam/core/logbook'
import { z } from 'zod'
import { table } from '../table.ts'

const KEY = { key: ['kitchenId', 'fabricationId'] } as const
/** Id of a row; the written name where there is no row that it leads to. */
const key = z.string()

/** Figures of closed records, so that many are filtered, sorted and summed without them. */
export const fabricationFiguresTable = table(
  'fabrication_figures',
  z.object({
    fabricationId: z.uuid(),
    date: z.iso.date(),
    itemKey: key,
    styleKey: key,
    cookKey: key.nullable(),
    supplierKey: key.nullable(),
    /** The number of the formulas, and how many facts there were. */
    formulas: z.int(),
    factCount: z.int(),
    /** It counts in means and sums. */
    isCounted: z.boolean(),
    /** How many causes of loss were named. */
    causes: z.int(),
    /** One of them lasts: what is usual begins anew with this record. */
    isBaseline: z.boolean(),
    ap: z.number(),
    primaryWeight: z.number(),
    portionYield: z.number(),
    utilisation: z.number(),
    balance: z.enum(BALANCES),
    units: z.int().nullable(),
    /** Grams from which its class of size begins; null without units. */
    sizeFrom: z.int().nullable(),
    minutesPerUnit: z.number().nullable(),
    costPerPortion: z.number().nullable(),
    savingPerPortion: z.number().nullable(),
    spent: z.number(),
    saved: z.number(),
    givenAway: z.number(),
    waste: z.number(),
    unused: z.number(),
    demoted: z.number(),
    unaccounted: z.number(),
    /** Lot, notes and names without a row, in which words are looked for; null where nothing was written. */
    written: z.string().nullable(),
    /** Weighings that were taken twice. */
    twice: z.custom<TakenTwice[]>(),
  }),
  KEY,
)

export const fabricationPileFiguresTable = table(
  'fabrication_pile_figures',
  z.object({
    fabricationId: z.uuid(),
    position: z.int(),
    /** Id of the style's pile; the pile's name where it is of no style. */
    pileKey: key,
    name: z.string(),
    class: z.enum(PILE_CLASSES),
    share: z.number(),
    /** Pieces that were weighed one by one; the middle and the lightest of them, grams. */
    pieces: z.int(),
    middlePiece: z.number().nullable(),
    lightestPiece: z.number().nullable(),
  }),
  { key: [...KEY.key, 'position'] },
)

export const fabricationBeamTable = table(
  'fabrication_beams',
  z.object({ fabricationId: z.uuid(), beam: z.custom<KeptBeam>() }),
  KEY,
)

/** What closed records were judged at. */
export const judgementTable = table('judgements', keptJudgement.unwrap(), { adds: { fabricationId: z.uuid() }, ...KEY })
