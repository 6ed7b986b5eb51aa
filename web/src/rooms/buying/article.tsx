import type { ArticleHistory } from '@fleam/contract/buying/schemas'
import { priceLine, recost } from '@fleam/core/buying'
import { dayIn } from '@fleam/core/calendar'
import { invoicePrice } from '@fleam/core/costing'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router-dom'
import { useArticle } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { PriceForm } from './price-form.tsx'
import { PriceHistory } from './price-history.tsx'
import { RestsOn } from './rests-on.tsx'

const PriceChart = lazy(() => import('../../parts/price-chart.tsx'))

/** One article: its price history with the break-even drawn in, and every record that rests on it. */
export function Component() {
  const { articleId = '' } = useParams()
  const article = useArticle(articleId)
  if (article.data) return <ArticlePage key={articleId} history={article.data} />
  return (
    <BuyingRoom title="An article">
      {article.isError ? (
        <Failed error={article.error} retry={() => void article.refetch()} />
      ) : (
        <Loading what="the article" />
      )}
    </BuyingRoom>
  )
}

function ArticlePage({ history }: { history: ArticleHistory }) {
  const { timeZone } = useKitchen()
  const format = useFormat()
  const [isChanging, setChanging] = useState(false)
  const { article, prices, records } = history
  const today = dayIn(timeZone, new Date())
  const newest = [...prices].sort((a, b) => b.from.localeCompare(a.from) || b.recordedAt.localeCompare(a.recordedAt))
  const latest = newest[0]
  const line = priceLine(
    prices.map((price) => ({ from: price.from, until: price.until, amount: price.price.amount })),
    today,
  )
  return (
    <BuyingRoom
      title={article.name}
      actions={
        <Button variant={isChanging ? 'outline-dark' : 'primary'} onClick={() => setChanging(!isChanging)}>
          {isChanging ? 'Cancel' : 'New price'}
        </Button>
      }
    >
      <p className="quiet">
        {article.supplier} · {article.code} · {article.kind === 'whole' ? 'cut here' : 'bought ready'}
        {article.item ? ` as ${article.item}` : ''}
        {article.product ? `, served as ${article.product}` : ''}
      </p>
      {isChanging && latest ? (
        <PriceForm
          from={{ ...requestOf(article), ...withoutSource(latest), from: today, until: null }}
          onDone={() => setChanging(false)}
        />
      ) : null}
      {line.length > 1 && latest ? (
        <section aria-labelledby="history">
          <h2 id="history">Price, and where making and buying are even</h2>
          <Suspense fallback={<Loading what="the chart" />}>
            <PriceChart line={line} today={today} breakEvens={breakEvensOf(history)} currency={format.money} />
          </Suspense>
        </section>
      ) : null}
      <RestsOn history={history} today={today} />
      <PriceHistory history={history} />
      {records.length === 0 ? (
        <p>
          Nothing that was cut or compared here rests on it yet. <Link to="/buying">Compare it</Link> with what others
          ask.
        </p>
      ) : null}
    </BuyingRoom>
  )
}

const requestOf = ({
  id: _id,
  supplierId: _supplierId,
  item: _item,
  product: _product,
  ...article
}: ArticleHistory['article']) => article
const withoutSource = ({ id: _id, source: _source, recordedAt: _at, ...price }: ArticleHistory['prices'][number]) =>
  price

/** Where the verdict of each record would turn, in the unit that the article is priced in. */
function breakEvensOf({ article, records, prices }: ArticleHistory): { name: string; amount: number }[] {
  const per = prices.at(-1)?.price.per
  return records.flatMap(({ document }) => {
    const { leading } = recost(document)
    if (!leading) return []
    if (article.kind === 'ready') {
      const amount = leading.offer === article.name ? leading.breakEven.offerAmount : null
      return amount === null ? [] : [{ name: document.style, amount }]
    }
    const turning = invoicePrice(document.purchase, leading.breakEven.apPricePerKg)
    // A price in another unit than the article's has no place among its prices.
    return turning !== null && turning.price.per === per ? [{ name: document.style, amount: turning.price.amount }] : []
  })
}
