import {
  type BuyingComparison,
  type BuyingRequest,
  explainTrueCost,
  type TrueCost,
  type TrueCostFigure,
} from '@fleam/core/buying'
import { Link } from 'react-router-dom'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { OpenFigure } from '../../parts/figure.tsx'
import { basisWords, orderWords, quoteWords } from '../../parts/price-words.ts'
import { type Format, useFormat } from '../../parts/use-format.ts'
import css from './buying.module.css'
import { CostReach } from './cost-reach.tsx'

interface RankingProps {
  comparison: BuyingComparison
  request: BuyingRequest
}

const WHY_LEFT = {
  'size-unknown': 'nobody says how much a piece or a pack weighs',
  'product-missing': 'its cut style does not give this product',
} as const

const articleOf = (cost: Pick<TrueCost, 'form'>) => `/buying/articles/${cost.form.id.split(' ')[0]}`

/** Every form side by side, cheapest first, each figure open to its formula. */
export function Ranking({ comparison: { ranked, left }, request }: RankingProps) {
  const format = useFormat(request.currency)
  return (
    <>
      <Answer ranked={ranked} request={request} />
      {ranked.length > 0 ? (
        <DataTable
          name="true-cost"
          className={css.ranking}
          columns={columnsFor({ request, ranked, format })}
          rows={ranked}
          idOf={(cost) => cost.form.id}
          classOf={(cost) => (cost.rank === 1 ? (css.first ?? '') : '')}
          isSearchedAbove
        />
      ) : null}
      {left.length > 0 ? (
        <section>
          <h2>Not compared</h2>
          <ul>
            {left.map(({ form, why }) => (
              <li key={form.id}>
                <Link to={articleOf({ form })}>
                  {form.article}, {form.supplier}
                </Link>
                : {WHY_LEFT[why]}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  )
}

const isShared = (cost: TrueCost, ranked: readonly TrueCost[]) =>
  ranked.some((trueCost) => trueCost !== cost && trueCost.rank === cost.rank)

interface Told {
  request: BuyingRequest
  ranked: readonly TrueCost[]
  format: Format
}

/** What stands of each form: its rows of money add up to what this product costs. */
function columnsFor({ request, ranked, format }: Told): DataColumn<TrueCost>[] {
  const dearest = Math.max(...ranked.map((cost) => cost.costPerPlate + cost.halfWidth), 0)
  const figure = (cost: TrueCost, name: TrueCostFigure, text: string) => (
    <OpenFigure explain={() => explainTrueCost(cost, name, request)} format={format}>
      {text}
    </OpenFigure>
  )
  /** What is taken off; what is added where a by-product loses money. */
  const less = (cost: TrueCost, name: 'credit' | 'carriedByOthers') =>
    cost[name] === 0 ? '–' : figure(cost, name, format.money(-cost[name]))
  const number = (id: string, header: string, column: Omit<DataColumn<TrueCost>, 'id' | 'header'>) => ({
    id,
    header,
    isNumber: true,
    ...column,
  })
  return [
    {
      id: 'place',
      header: 'Place',
      value: ({ rank }) => rank,
      cell: (cost) => `${cost.rank}${isShared(cost, ranked) ? ' =' : ''}`,
    },
    {
      id: 'from',
      header: 'From',
      isRowHeader: true,
      value: ({ form }) => `${form.article}, ${form.supplier}`,
      cell: (cost) => <From cost={cost} format={format} />,
    },
    {
      id: 'order',
      header: 'Order',
      value: (cost) => orderWords(cost.order, format),
      cell: (cost) => <Ordered cost={cost} format={format} />,
    },
    {
      id: 'yield',
      header: 'Yield',
      isNumber: true,
      value: yieldOf,
      cell: (cost) => (
        <>
          {format.share(yieldOf(cost))}
          <br />
          <span className={css.basis}>{cost.yield ? basisWords(cost.yield) : 'usable'}</span>
        </>
      ),
    },
    number('outlay', 'Outlay', {
      value: ({ outlay }) => outlay,
      cell: (cost) => figure(cost, 'outlay', format.money(cost.outlay)),
    }),
    number('labour', 'Labour', {
      value: ({ labour }) => labour,
      cell: (cost) => (
        <>
          {figure(cost, 'labour', format.money(cost.labour))}
          {cost.consumables > 0 ? (
            <>
              <br />
              <span className={css.basis}>bags {figure(cost, 'consumables', format.money(cost.consumables))}</span>
            </>
          ) : null}
        </>
      ),
    }),
    number('credit', 'Credit', { value: ({ credit }) => -credit, cell: (cost) => less(cost, 'credit') }),
    number('carried', 'Carried by others', {
      value: ({ carriedByOthers }) => -carriedByOthers,
      cell: (cost) => less(cost, 'carriedByOthers'),
    }),
    number('product', 'This product', {
      value: ({ productCost }) => productCost,
      cell: (cost) => (
        <>
          {figure(cost, 'productCost', format.money(cost.productCost))}
          <br />
          <span className={css.basis}>for {format.weight(cost.servable)}</span>
        </>
      ),
    }),
    number('kilo', `A ${format.perWeightUnit} to serve`, {
      value: ({ costPerKg }) => costPerKg,
      cell: (cost) => (
        <span className={css.cost}>{figure(cost, 'costPerKg', format.perWeightAmount(cost.costPerKg))}</span>
      ),
    }),
    number('plate', 'A plate', {
      value: ({ costPerPlate }) => costPerPlate,
      cell: (cost) => (
        <>
          <span className={css.cost}>{figure(cost, 'costPerPlate', format.money(cost.costPerPlate))}</span>
          <br />
          <span className={css.basis}>carries {figure(cost, 'carries', format.weight(cost.carries))}</span>
        </>
      ),
    }),
    { id: 'reach', header: 'How sure', value: null, cell: (cost) => <CostReach cost={cost} dearest={dearest} /> },
  ]
}

const yieldOf = ({ yield: own, form }: TrueCost): number => own?.value ?? (form.kind === 'ready' ? form.usableShare : 1)

interface CellProps {
  cost: TrueCost
  format: Format
}

const From = ({ cost, format }: CellProps) => (
  <>
    <Link to={articleOf(cost)}>{cost.form.article}</Link>
    <br />
    <span className="quiet">
      {cost.form.supplier} · {cost.form.kind === 'whole' ? cost.form.style.toLowerCase() : 'bought ready'} ·{' '}
      {quoteWords(cost.form.quote, format)}
    </span>
  </>
)

const Ordered = ({ cost, format }: CellProps) => (
  <>
    {orderWords(cost.order, format)}
    {cost.order.isRaised ? (
      <>
        <br />
        <span className={css.basis}>more than wanted</span>
      </>
    ) : null}
    <br />
    <span className={css.basis}>{oneLessWords(cost)}</span>
  </>
)

/** The answer as a sentence: what is cheapest, and whether that is sure. */
function Answer({ ranked, request }: { ranked: readonly TrueCost[]; request: BuyingRequest }) {
  const format = useFormat(request.currency)
  const [best, ...others] = ranked
  if (!best) return null
  const equal = others.filter((cost) => cost.rank === best.rank)
  const next = others.find((cost) => cost.rank !== best.rank)
  // Cut in two ways, one article stands there twice.
  const styles = new Set(ranked.flatMap(({ form }) => (form.kind === 'whole' ? form.style : [])))
  const name = ({ form }: TrueCost) =>
    `${form.article} from ${form.supplier}${form.kind === 'whole' && styles.size > 1 ? ` (${form.style.toLowerCase()})` : ''}`
  /** A plate that carries something else than was wanted says so. */
  const isAsWanted = ({ carries }: TrueCost) => Math.abs(carries - request.plateWeight) < 1
  const plateOf = (cost: TrueCost) => (isAsWanted(cost) ? 'a plate' : `a plate of ${format.weight(cost.carries)}`)
  return (
    <p className="answer">
      {equal.length > 0 ? (
        <>
          <strong>{name(best)}</strong> and {equal.map(name).join(' and ')} cannot be told apart: about{' '}
          <strong>{format.money(best.costPerPlate)}</strong> {plateOf(best)}.
        </>
      ) : (
        <>
          <strong>{name(best)}</strong> is cheapest: <strong>{format.money(best.costPerPlate)}</strong> {plateOf(best)}.
        </>
      )}
      {next ? (
        <>
          {' '}
          Next is {name(next)} at <strong>{format.money(next.costPerPlate)}</strong>
          {isAsWanted(next) ? '' : ` ${plateOf(next)}`}.
        </>
      ) : null}
    </p>
  )
}

/** What the order gives, and what one bird, piece or case less would mean. */
function oneLessWords({ plates, missingWithOneLess, order }: TrueCost): string {
  const one = order.packs === null ? 'one' : 'one pack'
  const less = missingWithOneLess === 0 ? 'still enough' : `${missingWithOneLess} short`
  return `${plates} ${plates === 1 ? 'plate' : 'plates'}; with ${one} less ${less}`
}
