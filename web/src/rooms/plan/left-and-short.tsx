import { evaluate } from '@fleam/core/explanation'
import { explainCutPortion, explainLeft, explainReadyPortion } from '@fleam/core/planning'
import { leftWords, mendWords, uncutWords } from '@fleam/core/wording'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Explained, OpenFigure } from '../../parts/figure.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import type { PartProps } from './plan-parts.ts'

/** What runs short, and what would mend it. */
export function Short({ lines, isWhole }: PartProps & { isWhole: boolean }) {
  const format = useFormat()
  if (lines.short.length === 0) return null
  return (
    <section aria-labelledby="plan-short">
      <h2 id="plan-short">Short</h2>
      <ul>
        {lines.short.map(({ productId, product, day, quantity, because }) => (
          <li key={`${productId} ${day}`}>
            {format.quantity(quantity, 'count')} of {product} on {dayWords(day)}:{' '}
            {isWhole ? mendWords(because, dayWords) : 'what would mend it is being tried'}.
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What is bought ready, and why it is not cut here. */
export function Ready({ lines, basis, plan }: PartProps) {
  const format = useFormat()
  const { goods, draft } = basis
  if (lines.ready.length === 0) return null
  return (
    <section aria-labelledby="plan-ready">
      <h2 id="plan-ready">Bought ready, and why</h2>
      <ul>
        {lines.ready.map(({ articleId, productId, portions }) => {
          const ready = explainReadyPortion(articleId, goods, draft)
          const cut = explainCutPortion(productId, goods, draft)
          const name = goods.ready.find(({ id }) => id === articleId)?.name
          const product = goods.products.find(({ id }) => id === productId)?.name
          const isDearer = ready !== null && cut !== null && evaluate(ready.expression) > cut.perPortion
          const hours = plan.limits.some(({ limit }) => limit === 'labour')
          return (
            <li key={articleId}>
              {name}, for {format.quantity(portions, 'count')} of {product}:{' '}
              <Explained explanation={ready} format={format} /> a portion
              {cut ? (
                <>
                  , <Explained explanation={cut.explanation} format={format} /> when it is cut here
                </>
              ) : (
                ', and nothing here gives it'
              )}
              {isDearer
                ? `: ${hours ? 'the hours at the board are used up' : 'a whole pack more to cut would leave too much over'}`
                : ''}
              .
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** So many rows of what is left are shown at first. */
const SHOWN = 8

/** What is left over of what was made, and where it goes: what is worth most first. */
export function Left({ lines, basis }: PartProps) {
  const format = useFormat()
  if (lines.left.length === 0 && lines.uncut.length === 0) return null
  const worth = new Map(
    basis.asked.request.products.map(({ name, surplusValue, disposal }) => [name, { surplusValue, disposal }]),
  )
  const rows = lines.left.map((rest) => ({ ...rest, ...(worth.get(rest.product) ?? { surplusValue: 0, disposal: 0 }) }))
  return (
    <section aria-labelledby="plan-left">
      <h2 id="plan-left">Left over</h2>
      {lines.uncut.length > 0 ? <p>{uncutWords(lines, format)}</p> : null}
      {rows.length > 0 ? (
        <DataTable
          name="left-over"
          columns={leftColumns(format)}
          rows={rows.sort((a, b) => b.valued * b.surplusValue - a.valued * a.surplusValue)}
          idOf={({ productId }) => productId}
          shownAtFirst={SHOWN}
          isSearchedAbove
        />
      ) : null}
    </section>
  )
}

type LeftRow = PartProps['lines']['left'][number] & { surplusValue: number; disposal: number }

function leftColumns(format: Format): DataColumn<LeftRow>[] {
  const money = (row: LeftRow, count: number, worth: number, isWorth: boolean) =>
    count * worth > 0 ? (
      <OpenFigure format={format} explain={() => explainLeft(row.product, count, worth, isWorth)}>
        {format.money(count * worth)}
      </OpenFigure>
    ) : null
  const amount = (id: string, header: string, of: (row: LeftRow) => number): DataColumn<LeftRow> => ({
    id,
    header,
    isNumber: true,
    value: of,
    cell: (row) => (of(row) > 0 ? amountWords(of(row), row.unit, format) : '–'),
  })
  return [
    { id: 'what', header: 'What', isRowHeader: true, value: ({ product }) => product },
    amount('use', 'To use', ({ valued }) => valued),
    {
      id: 'worth',
      header: 'Worth',
      isNumber: true,
      value: ({ valued, surplusValue }) => valued * surplusValue,
      cell: (row) => money(row, row.valued, row.surplusValue, true) ?? (row.valued > 0 ? 'nobody says' : '–'),
    },
    amount('thrown', 'Wasted', ({ disposed }) => disposed),
    {
      id: 'costs',
      header: 'Costs',
      isNumber: true,
      value: ({ disposed, disposal }) => disposed * disposal,
      cell: (row) => money(row, row.disposed, row.disposal, false) ?? '–',
    },
    { id: 'why', header: 'Why', value: ({ because }) => leftWords(because) },
  ]
}

const amountWords = (amount: number, unit: 'portion' | 'kg', format: Format) =>
  unit === 'kg' ? format.weight(amount * 1000) : format.quantity(amount, 'count')
