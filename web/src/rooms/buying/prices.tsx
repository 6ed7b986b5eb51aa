import { buyingOperations } from '@fleam/contract/buying/operations'
import { addressOf } from '@fleam/contract/client'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { ARTICLES_ON_A_PAGE, useArticles } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { priceWords } from '../../parts/price-words.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import { PriceForm } from './price-form.tsx'

/** The price book: every article of every supplier, with today's price and its history behind it. */
export function Component() {
  const { id } = useKitchen()
  const [words, setWords] = useState('')
  const [isTied, setTied] = useState(true)
  const [offset, setOffset] = useState(0)
  const [isAdding, setAdding] = useState(false)
  const articles = useArticles({ words, isTied, offset })
  const search = (next: string) => {
    setWords(next)
    setOffset(0)
  }
  return (
    <BuyingRoom
      title="Prices"
      actions={
        <>
          <Button variant={isAdding ? 'outline-dark' : 'primary'} onClick={() => setAdding(!isAdding)}>
            {isAdding ? 'Cancel' : 'Add a price'}
          </Button>
          <a
            className="btn btn-outline-dark"
            href={addressOf(buyingOperations.exportPriceList, { kitchenId: id })}
            download
          >
            Export as CSV
          </a>
        </>
      }
    >
      {isAdding ? <PriceForm onDone={() => setAdding(false)} /> : null}
      <div className="form-actions">
        <Form.Control
          type="search"
          aria-label="Search the price book"
          placeholder="supplier, article, item …"
          value={words}
          onChange={(event) => search(event.target.value)}
          style={{ maxWidth: '22rem' }}
        />
        <Form.Check
          type="switch"
          id="only-tied"
          label="Only what is cut or served here"
          checked={isTied}
          onChange={(event) => {
            setTied(event.target.checked)
            setOffset(0)
          }}
        />
      </div>
      {articles.isError ? <Failed error={articles.error} retry={() => void articles.refetch()} /> : null}
      {articles.data ? (
        <ArticleTable page={articles.data} offset={offset} onOffset={setOffset} />
      ) : articles.isPending ? (
        <Loading what="the price book" />
      ) : null}
      <p>
        What each supplier asks for a delivery, and its least order, stands in <Link to="/settings">Settings</Link>.
      </p>
    </BuyingRoom>
  )
}

type ArticleRow = NonNullable<ReturnType<typeof useArticles>['data']>['rows'][number]

const articleColumns = (format: Format): DataColumn<ArticleRow>[] => [
  {
    id: 'article',
    header: 'Article',
    isRowHeader: true,
    value: ({ article }) => article.name,
    cell: ({ article }) => <Link to={`/buying/articles/${article.id}`}>{article.name}</Link>,
  },
  { id: 'supplier', header: 'Supplier', value: ({ article }) => article.supplier },
  {
    id: 'for',
    header: 'For',
    value: ({ article }) => article.item ?? article.product,
    cell: ({ article }) => article.item ?? article.product ?? <span className="none">nothing yet</span>,
  },
  {
    id: 'price',
    header: 'Price today',
    isNumber: true,
    value: ({ current }) => current?.price.amount ?? null,
    cell: ({ current }) => (current ? priceWords(current.price, format) : '–'),
  },
  {
    id: 'per',
    header: 'Price per',
    isHiddenAtFirst: true,
    value: ({ current }) => current?.price.per ?? null,
  },
  {
    id: 'since',
    header: 'Since',
    value: ({ current }) => current?.from ?? null,
    words: ({ current }) => (current ? dayWords(current.from) : ''),
    cell: ({ current }) => (current ? dayWords(current.from) : ''),
  },
  { id: 'prices', header: 'Prices', isNumber: true, value: ({ prices }) => prices },
]

interface ArticleTableProps {
  page: NonNullable<ReturnType<typeof useArticles>['data']>
  offset: number
  onOffset: (offset: number) => void
}

function ArticleTable({ page: { rows, total }, offset, onOffset }: ArticleTableProps) {
  const format = useFormat()
  if (total === 0) {
    return (
      <Empty title="Nothing like it is in the price book">
        <p>
          <Link to="/buying/lists">Import a price list</Link> of a supplier, or add a price by hand.
        </p>
      </Empty>
    )
  }
  return (
    <>
      <DataTable
        name="articles"
        columns={articleColumns(format)}
        rows={rows}
        idOf={({ article }) => article.id}
        isPage={total > rows.length}
        isSearchedAbove
      />
      {total > ARTICLES_ON_A_PAGE ? (
        <div className="form-actions">
          <Button
            variant="outline-dark"
            disabled={offset === 0}
            onClick={() => onOffset(Math.max(0, offset - ARTICLES_ON_A_PAGE))}
          >
            Before
          </Button>
          <span>
            {offset + 1} to {Math.min(total, offset + ARTICLES_ON_A_PAGE)} of {total}
          </span>
          <Button
            variant="outline-dark"
            disabled={offset + ARTICLES_ON_A_PAGE >= total}
            onClick={() => onOffset(offset + ARTICLES_ON_A_PAGE)}
          >
            After
          </Button>
        </div>
      ) : null}
    </>
  )
}
