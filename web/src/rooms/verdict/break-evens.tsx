import { type Comparison, leadingComparison, plateYield } from '@fleam/core/comparison'
import { invoicePrice, labourMinutes } from '@fleam/core/costing'
import type { FigureRef, Quantity } from '@fleam/core/explanation'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable, unseen } from '../../parts/small-table.tsx'
import css from './break-evens.module.css'
import { TurningStrip } from './turning-strip.tsx'

type TurningFigure =
  | 'invoicePrice'
  | 'offerAmount'
  | 'breakEvenPortions'
  | 'pileYield'
  | 'labourMinutes'
  | 'creditMultiple'

interface TurningPoint {
  label: string
  figure: TurningFigure
  quantity: Quantity
  now: number | null
  /** Where today's value is a figure itself, and not something that was entered. */
  nowRef?: FigureRef
  turnsAt: number | null
}

/** What would turn the verdict, each with all else held. */
export function BreakEvens() {
  const { document, appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  if (at === null || !comparison) return null
  const points = turningPoints(document, appraisal, comparison, at)
  return (
    <section aria-labelledby="turns">
      <h2 id="turns">Break-even points</h2>
      <SmallTable
        heads={['All else as it is', numbers('Now'), numbers('Even at'), unseen('Room between them')]}
        className={css.turns}
      >
        {points.map(({ label, figure, quantity, now, nowRef, turnsAt }) => (
          <tr key={figure}>
            <th scope="row">{format.words(label)}</th>
            <td className="number">
              {nowRef ? (
                <MaybeFigure of={nowRef} value={now} word={(value) => format.quantity(value, quantity)} />
              ) : now === null ? (
                '–'
              ) : (
                format.quantity(now, quantity)
              )}
            </td>
            <td className="number">
              {turnsAt === null ? (
                <span className="none">cannot</span>
              ) : (
                <MaybeFigure
                  of={{ group: 'comparison', at, figure }}
                  value={turnsAt}
                  word={(value) => format.quantity(value, quantity)}
                />
              )}
            </td>
            <td>{now === null || turnsAt === null ? null : <TurningStrip now={now} turnsAt={turnsAt} />}</td>
          </tr>
        ))}
      </SmallTable>
    </section>
  )
}

type Appraised = ReturnType<typeof useAppraised>

/** The price as the invoice has it: charges are paid beside it, today and where it turns. */
function purchasePoint(
  { purchase }: Appraised['document'],
  { cost }: Appraised['appraisal'],
  { breakEven }: Comparison,
): TurningPoint {
  const now = invoicePrice(purchase, cost.apPricePerKg)
  const turning = invoicePrice(purchase, breakEven.apPricePerKg)
  return now === null || now.perKg !== null
    ? {
        label: 'Purchase price',
        figure: 'invoicePrice',
        quantity: 'money-per-kg',
        now: now?.perKg ?? null,
        nowRef: { group: 'cost', figure: 'invoicePrice' },
        turnsAt: turning?.perKg ?? null,
      }
    : {
        label: `Purchase price, per ${now.price.per}`,
        figure: 'invoicePrice',
        quantity: 'money',
        now: now.price.amount,
        turnsAt: turning?.price.amount ?? null,
      }
}

function turningPoints(
  document: Appraised['document'],
  appraisal: Appraised['appraisal'],
  comparison: Comparison,
  at: number,
): TurningPoint[] {
  const { breakEven } = comparison
  const pile = appraisal.piles.find((pile) => pile.name === comparison.pile)
  const offer = document.offers?.[at]
  return [
    purchasePoint(document, appraisal, comparison),
    {
      label: `The offer, per ${offer?.price.per}`,
      figure: 'offerAmount',
      quantity: 'money',
      now: offer?.price.amount ?? null,
      turnsAt: breakEven.offerAmount,
    },
    {
      label: 'Portions from it',
      figure: 'breakEvenPortions',
      quantity: 'count',
      now: pile?.portions ?? null,
      nowRef: { group: 'pile', pile: comparison.pile, figure: 'portions' },
      turnsAt: breakEven.portions,
    },
    {
      label: `Yield of ${comparison.pile} on the plates`,
      figure: 'pileYield',
      quantity: 'share',
      now: plateYield(pile?.portions ?? null, comparison.plateWeight, appraisal.weights.ap),
      nowRef: { group: 'comparison', at, figure: 'plateYieldNow' },
      turnsAt: breakEven.pileYield,
    },
    {
      label: 'Labour',
      figure: 'labourMinutes',
      quantity: 'minutes',
      now: labourMinutes(document.labour),
      turnsAt: breakEven.labourMinutes,
    },
    {
      label: 'By-product credit, of what it is now',
      figure: 'creditMultiple',
      quantity: 'share',
      now: 1,
      turnsAt: breakEven.creditMultiple,
    },
  ]
}
