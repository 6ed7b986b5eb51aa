import { WHOLE_WORDS } from '@fleam/catalogue'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { type Appraisal, appraise, type MoneyPart, moneyBars } from '@fleam/core/appraisal'
import { type Comparison, leadingComparison, plateYield } from '@fleam/core/comparison'
import { invoicePrice, labourMinutes } from '@fleam/core/costing'
import { CREDIT_POLICIES, type FabricationDocument } from '@fleam/core/fabrication'
import { type DecimalMark, minorDigits, roundParts } from '@fleam/core/units'
import { type Format, formatFor, POLICY_WORDS, VERDICT_WORDS, verdictSentence } from '@fleam/core/wording'
import { type Paper, paperOf, type SheetTable } from '../paper/index.ts'

export interface SheetBar {
  name: string
  total: string
  parts: { words: string; share: number }[]
}

/** Everything on the page, worded; whoever draws it only has to place it. */
export interface SheetContent {
  paper: Paper
  title: string
  facts: string
  /** Said where this is not the record itself. */
  whatIf: string | null
  sentence: string
  warnings: string[]
  bars: SheetBar[]
  turns: SheetTable
  policies: SheetTable
  piles: SheetTable
  sums: SheetTable
  rests: string
  foot: string
  /** The page of the record. */
  address: string
}

interface SheetOptions {
  kitchen: string
  units: 'metric' | 'imperial'
  decimalMark: DecimalMark
  /** Day on which the sheet is made. */
  today: string
  /** The page of the record, for who reads the sheet on a screen. */
  address: string
  /** Name of the what-if whose assumptions the document has. */
  whatIf: string | null
}

const NONE = '–'
/** More piles than this are told in one line: the sheet is one page, and Letter is shorter than A4. */
const MAX_PILES = { metric: 16, imperial: 12 } as const
const MAX_WARNINGS = 3

/** The purchase price as the invoice has it, today and where the verdict turns. */
function purchaseTurn(
  { purchase }: FabricationDocument,
  { cost }: Appraisal,
  { breakEven }: Comparison,
  format: Format,
): string[] {
  const [now, turning] = [cost.apPricePerKg, breakEven.apPricePerKg].map((price) => {
    const invoice = invoicePrice(purchase, price)
    if (invoice === null) return null
    return invoice.perKg === null ? format.money(invoice.price.amount) : format.perWeight(invoice.perKg)
  })
  const { per } = purchase.price
  const label = per === 'kg' || per === 'lb' ? 'Purchase price' : `Purchase price, per ${per}`
  return [label, now ?? NONE, turning ?? 'cannot']
}

/** The verdict as one page of words and figures, all of them of `appraise`. */
export function sheetContent(
  record: FabricationRecord,
  document: FabricationDocument,
  { kitchen, units, decimalMark, today, address, whatIf }: SheetOptions,
): SheetContent {
  const appraisal = appraise(document)
  const format = formatFor(document.currency, units, decimalMark)
  const maybe = (value: number | null, word: (value: number) => string) => (value === null ? NONE : word(value))
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  const sentence = verdictSentence(
    document,
    appraisal,
    record.species === null ? 'purchase' : WHOLE_WORDS[record.species],
  )
  const { cost, weights } = appraisal
  const pile = appraisal.piles.find((pile) => pile.name === comparison?.pile)
  const mostPiles = MAX_PILES[units]
  const shown = appraisal.piles.slice(0, mostPiles)
  const left = appraisal.piles.slice(mostPiles)
  const offer = at === null ? undefined : document.offers?.[at]
  const turn = (label: string, now: number | null, turnsAt: number | null, word: (value: number) => string) => [
    label,
    maybe(now, word),
    turnsAt === null ? 'cannot' : word(turnsAt),
  ]
  const parts = roundParts(
    [cost.ap, cost.labour, cost.consumables, -cost.credit],
    minorDigits(document.currency),
    cost.net,
  )
  return {
    paper: paperOf(units),
    title: `${document.item}: ${document.style.toLowerCase()}`,
    facts: [kitchen, record.date, record.cook, record.supplier, record.lot]
      .filter((part): part is string => part !== null)
      .join(' · '),
    whatIf: whatIf === null ? null : `What if: ${whatIf}. Tried out, not the record.`,
    sentence: sentence
      .map((part) =>
        part.kind === 'figure' ? maybe(part.value, (value) => format.quantity(value, part.quantity)) : part.words,
      )
      .join(''),
    warnings: warningsOf(appraisal).map(format.words),
    bars: barsOf(document, appraisal, at, format),
    turns: {
      heads: ['Break-even points', 'Now', 'Even at'],
      rows: comparison
        ? [
            purchaseTurn(document, appraisal, comparison, format),
            turn(
              `The offer, per ${offer?.price.per}`,
              offer?.price.amount ?? null,
              comparison.breakEven.offerAmount,
              format.money,
            ),
            turn('Portions from it', pile?.portions ?? null, comparison.breakEven.portions, (value) =>
              format.quantity(value, 'count'),
            ),
            turn(
              `Yield of ${comparison.pile} on the plates`,
              plateYield(pile?.portions ?? null, comparison.plateWeight, weights.ap),
              comparison.breakEven.pileYield,
              format.share,
            ),
            turn(format.words('Labour'), labourMinutes(document.labour), comparison.breakEven.labourMinutes, (value) =>
              format.quantity(value, 'minutes'),
            ),
            turn('By-product credit, of what it is now', 1, comparison.breakEven.creditMultiple, format.share),
          ]
        : [],
    },
    policies: {
      heads: ['If by-products count …', 'A portion made', 'So'],
      rows: comparison
        ? CREDIT_POLICIES.map((policy) => [
            `${POLICY_WORDS[policy].name}${policy === document.creditPolicy ? ' (chosen)' : ''}`,
            maybe(comparison.byPolicy[policy].costPerPortion, format.money),
            VERDICT_WORDS[comparison.byPolicy[policy].verdict ?? 'none'],
          ])
        : [],
    },
    piles: {
      heads: ['Pile', 'Weight', 'Share', 'Credit', 'Cost', `a ${format.perWeightUnit}`, 'Portions', 'a portion'],
      rows: [
        ...shown.map((row) => [
          row.name,
          format.weight(row.weight),
          format.share(row.share),
          maybe(row.credit, format.money),
          maybe(row.cost, format.money),
          maybe(row.costPerKg, format.perWeightAmount),
          maybe(row.portions, (value) => format.quantity(value, 'count')),
          maybe(row.costPerPortion, format.money),
        ]),
        ...(left.length > 0
          ? [
              [
                `${left.length} more piles`,
                format.weight(left.reduce((sum, rest) => sum + rest.weight, 0)),
                ...Array(6).fill(''),
              ],
            ]
          : []),
      ],
    },
    sums: {
      heads: ['Where it went', ''],
      rows: [
        ...['Purchase', 'Labour', 'Bags and the like', 'By-product credit'].map((name, place) => [
          format.words(name),
          format.money(parts[place] || 0),
        ]),
        ['Net cost', format.money(cost.net)],
        ['Portion yield', format.share(weights.portionYield)],
        ['Drained yield', format.share(weights.drainedYield)],
        [format.words('Utilisation'), format.share(weights.utilisation)],
        ['Not accounted for', format.weight(weights.unaccounted)],
      ],
    },
    rests: `${format.weight(document.purchase.invoiceWeight)} at ${format.money(document.purchase.price.amount)} per ${document.purchase.price.per}${
      document.purchase.extras ? ` and ${format.money(document.purchase.extras)} of charges` : ''
    }; ${
      (document.labour ?? [])
        .map(
          (entry) =>
            `${format.quantity(entry.minutes, 'minutes')} to ${entry.task} at ${format.money(entry.ratePerHour)} an hour`,
        )
        .join(', ') || format.words('no labour')
    }.`,
    foot: `Made on ${today} from record ${record.id}.`,
    address,
  }
}

function warningsOf({ warnings }: ReturnType<typeof appraise>): string[] {
  const shown = warnings.slice(0, MAX_WARNINGS).map((warning) => warning.message)
  const more = warnings.length - shown.length
  return more > 0 ? [...shown, `And ${more} more.`] : shown
}

const PART_WORDS: Readonly<Record<MoneyPart['name'], string>> = {
  product: 'product',
  labour: 'labour',
  bags: 'bags',
  'by-products': 'by-product credit',
  price: 'price',
  handling: 'handling',
  rejects: 'rejects',
}

/** A portion made and bought, each part as a share of the dearer one. */
function barsOf(
  document: FabricationDocument,
  appraisal: ReturnType<typeof appraise>,
  at: number | null,
  format: Format,
): SheetBar[] {
  const bars = at === null ? null : moneyBars(document, appraisal, at)
  if (!bars) return []
  const { money, words } = format
  const spent = (parts: readonly MoneyPart[]) => parts.reduce((sum, part) => sum + Math.max(0, part.amount), 0)
  const most = Math.max(spent(bars.make.parts), spent(bars.buy.parts))
  const bar = (name: string, { parts, total }: typeof bars.make): SheetBar => {
    const amounts = roundParts(
      parts.map((part) => part.amount),
      minorDigits(document.currency),
      total,
    )
    return {
      name,
      total: money(total),
      parts: parts.map((part, place) => ({
        words: `${words(PART_WORDS[part.name])} ${money(amounts[place] as number)}`,
        share: most > 0 ? Math.max(0, part.amount) / most : 0,
      })),
    }
  }
  return [bar('made', bars.make), bar('bought', bars.buy)]
}
