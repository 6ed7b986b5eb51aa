import type { ArticleHistory } from '@fleam/contract/buying/schemas'
import type { ArticlePrice } from '@fleam/core/price-lists'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dateWords, instantWords } from '../../parts/dates.ts'
import { quoteWords } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'
import { PriceCorrection } from './price-correction.tsx'

const SOURCES = { typed: 'typed', list: 'price list', feed: 'price feed' } as const
const ACTOR_WORDS = { bench: 'at the bench', office: 'in the office' } as const
const newestFirst = (a: ArticlePrice, b: ArticlePrice) =>
  b.from.localeCompare(a.from) || b.recordedAt.localeCompare(a.recordedAt)

interface Correcting {
  price: ArticlePrice
  isStruck: boolean
}

interface PriceColumnsInput {
  amount: (price: ArticlePrice) => string
  newestId: string | undefined
  correct: (correcting: Correcting) => void
}

const priceColumns = ({ amount, newestId, correct }: PriceColumnsInput): DataColumn<ArticlePrice>[] => [
  { id: 'from', header: 'From', value: ({ from }) => from, cell: ({ from }) => dateWords(from) },
  {
    id: 'until',
    header: 'Until',
    value: ({ until }) => until,
    cell: ({ id, until }) => (until !== null ? dateWords(until) : id === newestId ? 'open' : 'the next one'),
  },
  { id: 'price', header: 'Price', isNumber: true, value: (price) => price.price.amount, cell: amount },
  {
    id: 'source',
    header: 'Came as',
    value: ({ source, recordedAt }) => `${SOURCES[source]} ${recordedAt.slice(0, 10)}`,
    cell: ({ source, recordedAt }) => `${SOURCES[source]}, ${dateWords(recordedAt.slice(0, 10))}`,
  },
  {
    id: 'correct',
    header: 'Put right',
    value: null,
    cell: (price) => (
      <span className="form-actions">
        <Button size="sm" variant="outline-dark" onClick={() => correct({ price, isStruck: false })}>
          Edit<span className="visually-hidden"> {amount(price)}</span>
        </Button>
        <Button size="sm" variant="outline-dark" onClick={() => correct({ price, isStruck: true })}>
          Delete<span className="visually-hidden"> {amount(price)}</span>
        </Button>
      </span>
    ),
  },
]

/** Every price of an article, each to be put right or struck out; what was struck stays to be read, with why. */
export function PriceHistory({ history }: { history: ArticleHistory }) {
  const format = useFormat()
  const [correcting, setCorrecting] = useState<Correcting | null>(null)
  const newest = [...history.prices].sort(newestFirst)
  const amount = (price: ArticlePrice) => quoteWords({ ...price, delivery: 0, minimumOrder: null }, format)
  return (
    <section aria-labelledby="prices">
      <h2 id="prices">Every price</h2>
      <DataTable
        name="prices"
        columns={priceColumns({ amount, newestId: newest[0]?.id, correct: setCorrecting })}
        rows={newest}
        idOf={({ id }) => id}
      />
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
