import type { ArticleHistory } from '@fleam/contract/buying/schemas'
import { appraise, reprice } from '@fleam/core/appraisal'
import { explainByFactor, isSamePrice, type PriceChange, priceOn, recost } from '@fleam/core/buying'
import { explain } from '@fleam/core/explanation'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { VERDICT_WORDS } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'

/** Every record that rests on an article, at today's price: by factor, in full, and what becomes of the verdict. */
export function RestsOn({ history, today }: { history: ArticleHistory; today: string }) {
  const price = priceOn(history.prices, today)?.price
  if (!price || history.records.length === 0) return null
  return (
    <section aria-labelledby="rests-on">
      <h2 id="rests-on">What rests on it, at today’s price</h2>
      <SmallTable
        heads={['Record', 'Portion', numbers('As it was'), numbers('By factor'), numbers('In full'), 'Verdict']}
        responsive
      >
        {history.records.flatMap(({ id, document }) => {
          const change: PriceChange =
            history.article.kind === 'whole'
              ? { kind: 'purchase', price, extras: null }
              : { kind: 'offer', offer: history.article.name, price }
          // A record that was bought in another unit keeps its own price.
          const isOther = change.kind === 'purchase' && document.purchase.price.per !== price.per
          return <RecostedRows key={id} id={id} document={document} changes={isOther ? [] : [change]} />
        })}
      </SmallTable>
    </section>
  )
}

interface RecostedRowsProps {
  id: string
  document: FabricationDocument
  changes: readonly PriceChange[]
}

function RecostedRows({ id, document, changes }: RecostedRowsProps) {
  const format = useFormat(document.currency)
  const before = recost(document)
  const after = recost(document, changes)
  const factored = reprice(document, appraise(document), after.appraisal.cost.apPricePerKg)
  const isUnchanged = changes.every(
    (change) => change.kind === 'purchase' && isSamePrice(change.price, document.purchase.price),
  )
  const verdicts = [before.leading?.verdict ?? 'none', after.leading?.verdict ?? 'none'] as const
  const cost = (recosted: typeof before, pile: string, amount: number | null) =>
    amount === null ? (
      '–'
    ) : (
      <OpenFigure
        explain={() =>
          explain(recosted.document, recosted.appraisal, { group: 'pile', pile, figure: 'costPerPortion' })
        }
        format={format}
      >
        {format.money(amount)}
      </OpenFigure>
    )
  return factored.map((pile, index) => (
    <tr key={pile.name}>
      {index === 0 ? (
        <th scope="row" rowSpan={factored.length}>
          <Link to={`/verdict/${id}`}>{document.style}</Link>
          <br />
          <span className="quiet">
            {document.meta?.date ? dayWords(document.meta.date) : ''}
            {isUnchanged ? ' · at this price already' : ''}
          </span>
        </th>
      ) : null}
      <td>{pile.name}</td>
      <td className="number">
        {cost(
          before,
          pile.name,
          before.appraisal.piles.find((other) => other.name === pile.name)?.costPerPortion ?? null,
        )}
      </td>
      <td className="number">
        {pile.byFactor === null ? (
          '–'
        ) : (
          <OpenFigure
            explain={() => explainByFactor(before.appraisal, pile.name, after.appraisal.cost.apPricePerKg)}
            format={format}
          >
            {format.money(pile.byFactor)}
          </OpenFigure>
        )}
      </td>
      <td className="number">{cost(after, pile.name, pile.inFull)}</td>
      {index === 0 ? (
        <td rowSpan={factored.length} className={`verdict-word ${verdicts[1]}`}>
          {verdicts[0] === verdicts[1]
            ? VERDICT_WORDS[verdicts[1]]
            : `${VERDICT_WORDS[verdicts[0]]} → ${VERDICT_WORDS[verdicts[1]]}`}
        </td>
      ) : null}
    </tr>
  ))
}
