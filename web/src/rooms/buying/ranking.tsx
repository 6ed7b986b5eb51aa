import {
  type BuyingComparison,
  type BuyingRequest,
  explainTrueCost,
  type TrueCost,
  type TrueCostFigure,
} from '@fleam/core'
import Table from 'react-bootstrap/Table'
import { Link } from 'react-router-dom'
import { OpenFigure } from '../../parts/figure.tsx'
import { basisWords, orderWords, quoteWords } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'
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
  const dearest = Math.max(...ranked.map((cost) => cost.costPerKg + cost.halfWidth), 0)
  return (
    <>
      <Answer ranked={ranked} request={request} />
      {ranked.length > 0 ? (
        <Table className={css.ranking} responsive>
          <thead>
            <tr>
              <th scope="col">Place</th>
              <th scope="col">From</th>
              <th scope="col">Order</th>
              <th scope="col">Yield</th>
              <th scope="col" className="number">
                Outlay
              </th>
              <th scope="col" className="number">
                Labour
              </th>
              <th scope="col" className="number">
                Credit
              </th>
              <th scope="col" className="number">
                Carried by others
              </th>
              <th scope="col" className="number">
                This product
              </th>
              <th scope="col" className="number">
                A {format.perWeightUnit} to serve
              </th>
              <th scope="col">
                <span className="visually-hidden">How sure</span>
              </th>
              <th scope="col" className="number">
                A plate
              </th>
            </tr>
          </thead>
          <tbody>
            {ranked.map((cost) => (
              <RankedRow
                key={cost.form.id}
                cost={cost}
                request={request}
                isShared={isShared(cost, ranked)}
                dearest={dearest}
              />
            ))}
          </tbody>
        </Table>
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
  ranked.some((each) => each !== cost && each.rank === cost.rank)

interface RankedRowProps {
  cost: TrueCost
  request: BuyingRequest
  isShared: boolean
  dearest: number
}

function RankedRow({ cost, request, isShared: shares, dearest }: RankedRowProps) {
  const format = useFormat(request.currency)
  const figure = (name: TrueCostFigure, text: string) => (
    <OpenFigure explain={() => explainTrueCost(cost, name, request)} format={format}>
      {text}
    </OpenFigure>
  )
  const { form } = cost
  /** What is taken off; what is added where a by-product loses money. */
  const less = (amount: number) => format.money(-amount)
  return (
    <tr className={cost.rank === 1 ? css.first : ''}>
      <td className={css.place}>
        {cost.rank}
        {shares ? ' =' : ''}
      </td>
      <th scope="row">
        <Link to={articleOf(cost)}>{form.article}</Link>
        <br />
        <span className="quiet">
          {form.supplier} · {form.kind === 'whole' ? form.style.toLowerCase() : 'bought ready'} ·{' '}
          {quoteWords(form.quote, format)}
        </span>
      </th>
      <td>
        {orderWords(cost.order, format)}
        {cost.order.isRaised ? (
          <>
            <br />
            <span className={css.basis}>more than wanted</span>
          </>
        ) : null}
        <br />
        <span className={css.basis}>{oneLessWords(cost)}</span>
      </td>
      <td className="number">
        {cost.yield ? format.share(cost.yield.value) : format.share(form.kind === 'ready' ? form.usableShare : 1)}
        <br />
        <span className={css.basis}>{cost.yield ? basisWords(cost.yield) : 'usable'}</span>
      </td>
      <td className="number">{figure('outlay', format.money(cost.outlay))}</td>
      <td className="number">
        {figure('labour', format.money(cost.labour))}
        {cost.consumables > 0 ? (
          <>
            <br />
            <span className={css.basis}>bags {figure('consumables', format.money(cost.consumables))}</span>
          </>
        ) : null}
      </td>
      <td className="number">{cost.credit === 0 ? '–' : figure('credit', less(cost.credit))}</td>
      <td className="number">
        {cost.carriedByOthers === 0 ? '–' : figure('carriedByOthers', less(cost.carriedByOthers))}
      </td>
      <td className="number">
        {figure('productCost', format.money(cost.productCost))}
        <br />
        <span className={css.basis}>for {format.weight(cost.servable)}</span>
      </td>
      <td className={`number ${css.cost}`}>{figure('costPerKg', format.perWeightAmount(cost.costPerKg))}</td>
      <td>
        <CostReach cost={cost} dearest={dearest} />
      </td>
      <td className={`number ${css.cost}`}>{figure('costPerPlate', format.money(cost.costPerPlate))}</td>
    </tr>
  )
}

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
  return (
    <p className="answer">
      {equal.length > 0 ? (
        <>
          <strong>{name(best)}</strong> and {equal.map(name).join(' and ')} cannot be told apart: about{' '}
          <strong>{format.money(best.costPerPlate)}</strong> a plate.
        </>
      ) : (
        <>
          <strong>{name(best)}</strong> is cheapest: <strong>{format.money(best.costPerPlate)}</strong> a plate.
        </>
      )}
      {next ? (
        <>
          {' '}
          Next is {name(next)} at <strong>{format.money(next.costPerPlate)}</strong>.
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
