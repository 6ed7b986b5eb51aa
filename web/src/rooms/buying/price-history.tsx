import type { ArticlePrice } from '@fleam/contract'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import type { ArticleHistory } from '../../data/buying-queries.ts'
import { dateWords, instantWords } from '../../parts/dates.ts'
import { quoteWords } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'
import { PriceCorrection } from './price-correction.tsx'

const SOURCES = { typed: 'typed', list: 'price list', feed: 'price feed' } as const
const ACTOR_WORDS = { bench: 'at the bench', office: 'in the office' } as const
const newestFirst = (a: ArticlePrice, b: ArticlePrice) =>
  b.from.localeCompare(a.from) || b.recordedAt.localeCompare(a.recordedAt)

/** Every price of an article, each to be put right or struck out; what was struck stays to be read, with why. */
export function PriceHistory({ history }: { history: ArticleHistory }) {
  const format = useFormat()
  const [correcting, setCorrecting] = useState<{ price: ArticlePrice; isStruck: boolean } | null>(null)
  const newest = [...history.prices].sort(newestFirst)
  const amount = (price: ArticlePrice) => quoteWords({ ...price, delivery: 0, minimumOrder: null }, format)
  return (
    <section aria-labelledby="prices">
      <h2 id="prices">Every price</h2>
      <Table className="list-table" responsive>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">Until</th>
            <th scope="col" className="number">
              Price
            </th>
            <th scope="col">Came as</th>
            <th scope="col">
              <span className="visually-hidden">Put right</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {newest.map((price, at) => (
            <tr key={price.id}>
              <td>{dateWords(price.from)}</td>
              <td>{price.until === null ? (at === 0 ? 'open' : 'the next one') : dateWords(price.until)}</td>
              <td className="number">{amount(price)}</td>
              <td>
                {SOURCES[price.source]}, {dateWords(price.recordedAt.slice(0, 10))}
              </td>
              <td className="form-actions">
                <Button size="sm" variant="outline-dark" onClick={() => setCorrecting({ price, isStruck: false })}>
                  Edit<span className="visually-hidden"> {amount(price)}</span>
                </Button>
                <Button size="sm" variant="outline-dark" onClick={() => setCorrecting({ price, isStruck: true })}>
                  Delete<span className="visually-hidden"> {amount(price)}</span>
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {history.struck.length > 0 ? (
        <details>
          <summary>Struck out ({history.struck.length})</summary>
          <ul>
            {history.struck.map((price) => (
              <li key={price.id}>
                <s>{amount(price)}</s> from {dateWords(price.from)}: {price.struckWhy} ({ACTOR_WORDS[price.struckBy]},{' '}
                {instantWords(price.struckAt)})
              </li>
            ))}
          </ul>
        </details>
      ) : null}
      {correcting ? (
        <PriceCorrection articleId={history.article.id} {...correcting} onClose={() => setCorrecting(null)} />
      ) : null}
    </section>
  )
}
