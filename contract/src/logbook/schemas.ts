import {
  fabricationDocument,
  LABOUR_SOURCES,
  PILE_CLASSES,
  PRICE_SOURCES,
  WEIGHT_SOURCES,
} from '@fleam/core/fabrication'
import { DOUBT_KINDS, LOGBOOK_GROUPS } from '@fleam/core/logbook'
import { day, id, name } from '@fleam/core/values'
import { LOSS_CAUSES } from '@fleam/core/weighing'
import { z } from 'zod'

const MAX_CHOSEN = 200
/** One of something, or several of it: `cook=…&cook=…`. */
const chosen = z.union([id, z.array(id).max(MAX_CHOSEN)]).optional()

const filters = {
  from: day.optional(),
  to: day.optional(),
  item: chosen,
  style: chosen,
  supplier: chosen,
  cook: chosen,
}

/** Which records, and by what they are grouped. Both days are counted. */
export const summaryQuery = z.strictObject({ ...filters, group: z.enum([...LOGBOOK_GROUPS, 'none']).default('none') })
export type SummaryQuery = z.infer<typeof summaryQuery>
export type LogbookFilters = Omit<SummaryQuery, 'group'>

const figure = z.number()
const maybeFigure = figure.nullable()
const spread = { mean: maybeFigure, sd: maybeFigure, low: maybeFigure, high: maybeFigure }

const recordMoney = z.object({
  spent: figure,
  saved: figure,
  givenAway: figure,
  waste: figure,
  unused: figure,
  demoted: figure,
  unaccounted: figure,
})

const summaryFigures = {
  records: z.number().int(),
  units: z.number().int(),
  ap: figure,
  portionYield: z.object({ ...spread, weighted: maybeFigure }),
  yieldAgainstStyle: z.object({ mean: figure, low: maybeFigure, high: maybeFigure }).nullable(),
  minutesPerUnit: z.object(spread),
  money: recordMoney,
}

/** What many records say, by group and in all. A key is an id where the group has one; null where nobody said. */
export const logbookSummary = z
  .object({
    groups: z.array(z.object({ key: z.string().nullable(), name: z.string().nullable(), ...summaryFigures })),
    all: z.object(summaryFigures),
  })
  .meta({ id: 'LogbookSummary' })
export type LogbookSummaryAnswer = z.infer<typeof logbookSummary>

export const LOGBOOK_SORTS = [
  'date',
  'item',
  'style',
  'cook',
  'supplier',
  'units',
  'portionYield',
  'utilisation',
  'costPerPortion',
  'saved',
  'givenAway',
  'waste',
  'minutesPerUnit',
] as const
export type LogbookSort = (typeof LOGBOOK_SORTS)[number]

const MAX_LISTED = 200
export const recordsQuery = z.strictObject({
  ...filters,
  /** These records alone. */
  id: chosen,
  /** Found in the names and notes of a record. */
  words: z.string().max(200).default(''),
  counted: z.enum(['yes', 'no', 'all']).default('all'),
  sort: z.enum(LOGBOOK_SORTS).default('date'),
  order: z.enum(['ascending', 'descending']).default('descending'),
  /** Where the page before ended, as it was told there. */
  cursor: z.string().max(600).optional(),
  limit: z.coerce.number().int().min(1).max(MAX_LISTED).default(50),
})
export type RecordsQuery = z.infer<typeof recordsQuery>

/** Which records a file is made of. */
export const logbookExportQuery = recordsQuery.pick({
  id: true,
  from: true,
  to: true,
  item: true,
  style: true,
  supplier: true,
  cook: true,
  words: true,
  counted: true,
})
export type LogbookExportQuery = z.infer<typeof logbookExportQuery>

const stretches = z.array(
  z.object({
    kind: z.enum(['pile', 'purge', 'short', 'rest']),
    pile: z.string().nullable(),
    class: z.enum(PILE_CLASSES).nullable(),
    at: z.number().int().nullable(),
    amount: figure,
  }),
)

/** Where the weight of a record went and what carries its money, to be drawn; without a price no money. */
const beam = z.object({ weight: stretches, money: stretches, weightTotal: figure, moneyTotal: figure })

/** One closed record with what it comes to. */
export const logbookRecord = z.object({
  id,
  date: day,
  item: name,
  style: name,
  cook: name.nullable(),
  supplier: name.nullable(),
  itemId: id.nullable(),
  styleId: id.nullable(),
  cookId: id.nullable(),
  supplierId: id.nullable(),
  lotId: id.nullable(),
  lot: z.string().nullable(),
  currency: z.string(),
  isCounted: z.boolean(),
  leftOut: z.string().nullable(),
  balance: z.enum(['ok', 'over', 'lost']),
  causes: z.number().int(),
  units: z.number().int().nullable(),
  ap: figure,
  portionYield: figure,
  utilisation: figure,
  costPerPortion: maybeFigure,
  savingPerPortion: maybeFigure,
  minutesPerUnit: maybeFigure,
  money: recordMoney,
  beam,
  /** What its plan had for it, in all; null where nobody planned it. */
  planned: z.object({ planId: id, plan: name, units: z.number().int(), minutes: figure }).nullable(),
})
export type LogbookRecord = z.infer<typeof logbookRecord>

export const logbookPage = z
  .object({ rows: z.array(logbookRecord), total: z.number().int(), next: z.string().nullable() })
  .meta({ id: 'LogbookPage' })
export type LogbookPage = z.infer<typeof logbookPage>

const change = z.object({
  of: z.enum(['style', 'cook', 'supplier']),
  key: z.string(),
  /** What it is called, of a style with its item. */
  name: z.string(),
  item: z.string().nullable(),
  what: z.enum(['portion-yield', 'minutes']),
  difference: figure,
  recent: z.object({ records: z.number().int(), mean: figure }),
  before: z.object({ records: z.number().int(), mean: figure }),
  p: figure,
  moneyPerWeek: maybeFigure,
  kilosPerWeek: figure,
  costPerKg: figure,
  since: day,
  /** Whose change it is, as far as records tell: by name. */
  attributions: z.array(
    z.object({
      of: z.enum(['cook', 'supplier']),
      kind: z.enum(['one', 'all']),
      moved: z.array(name),
      held: z.array(name),
    }),
  ),
})

/** What is not what it was: the last four weeks against the twelve before. */
export const logbookChanges = z
  .object({ changes: z.array(change), tests: z.number().int() })
  .meta({ id: 'LogbookChanges' })
export type LogbookChanges = z.infer<typeof logbookChanges>

/** Which records a control chart is drawn of: of one item and style, and of one cook where one is named. */
export const chartQuery = z.strictObject({ item: id, style: id, cook: id.optional() })
export type ChartQuery = z.infer<typeof chartQuery>

const moved = z.object({ key: z.string(), name, difference: figure }).nullable()

/** Counted records in the order of their days, the newest of them, within the limits of what is usual, and what lies outside. */
export const logbookSeries = z
  .object({
    points: z.array(z.object({ id, day, value: figure, causes: z.number().int(), isNewBaseline: z.boolean() })),
    /** All there are, drawn or not. */
    records: z.number().int(),
    limits: z.array(
      z.object({ from: z.number().int(), to: z.number().int(), centre: figure, low: figure, high: figure }),
    ),
    signals: z.array(
      z.object({
        kind: z.enum(['outside', 'run']),
        side: z.enum(['low', 'high']),
        from: z.number().int(),
        to: z.number().int(),
        /** The pile whose share moved most against what is usual, and the one that moved most the other way. */
        moved,
        against: moved,
      }),
    ),
  })
  .meta({ id: 'LogbookSeries' })
export type LogbookSeries = z.infer<typeof logbookSeries>

export const LOGBOOK_FORMAT = 'fleam/logbook'
export const MAX_IMPORTED = 5_000

/** Causes of one record: one for each of its piles at most. */
const MAX_CAUSES = 200

/** One record of a logbook's file. */
export const loggedRecord = z.strictObject({
  id,
  document: fabricationDocument,
  /** What a document does not say: why it is left out of averages, and where its minutes and its price are from. */
  leftOut: z.string().trim().min(1).max(200).nullable().default(null),
  labourFrom: z.enum(LABOUR_SOURCES).default('typed'),
  priceFrom: z.enum(PRICE_SOURCES).default('typed'),
  weightFrom: z.enum(WEIGHT_SOURCES).default('invoice'),
  /** Doubts that somebody stands by; and what went wrong with which pile, by its name in the document. */
  settled: z.array(z.enum(DOUBT_KINDS)).max(DOUBT_KINDS.length).default([]),
  causes: z
    .array(z.strictObject({ pile: name, cause: z.enum(LOSS_CAUSES), isLasting: z.boolean() }))
    .max(MAX_CAUSES)
    .default([]),
})
export type LoggedRecord = z.infer<typeof loggedRecord>

/** Many closed records as one file. What each holds is read one by one, so that no weighing waits for it. */
export const logbookFile = z
  .strictObject({
    format: z.literal(LOGBOOK_FORMAT),
    version: z.literal(1),
    records: z.array(z.unknown()).min(1).max(MAX_IMPORTED),
  })
  .meta({ id: 'LogbookFile' })
export type LogbookFile = z.infer<typeof logbookFile>

/** How many records of a file were kept, and how many were there already. */
export const recordsImported = z.object({
  kept: z.number(),
  known: z.number(),
  /** Of those that were kept, how many say the same as a record that was here under another id. */
  alike: z.number(),
})
export type RecordsImported = z.infer<typeof recordsImported>

/** A record that cannot be right, why, and what it is. */
const doubt = z.object({
  id,
  date: day,
  item: name,
  style: name,
  cook: name.nullable(),
  why: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('balance'), id, balance: z.enum(['over', 'lost']) }),
    z.object({ kind: z.literal('double'), id, of: id }),
    z.object({ kind: z.literal('twice'), id, pile: name, grams: figure, seconds: figure }),
    z.object({ kind: z.literal('minutes'), id, minutes: figure, usual: figure }),
    z.object({ kind: z.literal('price'), id, price: figure, usual: figure, factor: figure }),
    z.object({ kind: z.literal('weight'), id, weight: figure, usual: figure, factor: figure }),
    z.object({ kind: z.literal('yield'), id, portionYield: figure, usual: figure }),
    z.object({ kind: z.literal('pile'), id, pile: name, share: figure, usual: figure, factor: maybeFigure }),
    z.object({ kind: z.literal('emptied'), id, pile: name, into: name, share: figure }),
    z.object({ kind: z.literal('container'), id, pile: name, container: name, grams: figure, heavier: figure }),
  ]),
})
export const logbookDoubts = z
  .object({ doubts: z.array(doubt), records: z.number().int() })
  .meta({ id: 'LogbookDoubts' })
export type LogbookDoubts = z.infer<typeof logbookDoubts>
