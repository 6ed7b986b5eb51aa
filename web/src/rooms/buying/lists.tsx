import type { PriceImport } from '@fleam/contract/buying/operations'
import { buyingOperations } from '@fleam/contract/buying/operations'
import { addressOf } from '@fleam/contract/client'
import { dayIn } from '@fleam/core/calendar'
import { decodeText } from '@fleam/core/csv'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { usePriceFeed, usePullFeed, useRememberedMappings } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { Failed } from '../../parts/states.tsx'
import { type ChosenList, chosenList } from './chosen-list.ts'
import { ListImport } from './list-import.tsx'

/** Price lists of suppliers, from a file or from a feed. */
export function Component() {
  const { timeZone } = useKitchen()
  const [list, setList] = useState<ChosenList | null>(null)
  const [refusal, setRefusal] = useState('')
  const [done, setDone] = useState<PriceImport | null>(null)
  const remembered = useRememberedMappings()
  const input = useRef<HTMLInputElement>(null)
  const take = async (file: File | undefined) => {
    if (!file) return
    setRefusal('')
    setDone(null)
    setList(null)
    const decoded = decodeText(new Uint8Array(await file.arrayBuffer()))
    if (!decoded.ok) return setRefusal(`${file.name} is no text. Save the list as CSV.`)
    const { text: csv, encoding } = decoded
    // What the device kept may be from before the last list; what cannot be had now is no reason to keep anybody waiting.
    const isFresh = remembered.isFetchedAfterMount || !navigator.onLine
    const known = (isFresh ? remembered.data : (await remembered.refetch()).data) ?? []
    setList(chosenList({ name: file.name, csv, encoding }, known, dayIn(timeZone, new Date())))
  }
  return (
    <BuyingRoom
      title="Price lists"
      actions={
        <>
          <input
            ref={input}
            type="file"
            accept=".csv,.txt,.tsv,text/csv"
            hidden
            aria-label="A price list"
            onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ''))}
          />
          <Button onClick={() => input.current?.click()}>Choose a CSV file</Button>
          <a className="btn btn-outline-dark" href={addressOf(buyingOperations.readPriceListTemplate, {})} download>
            Empty template
          </a>
        </>
      }
    >
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {done ? <Taken result={done} /> : null}
      {list ? (
        <ListImport
          key={`${list.name} ${list.csv.length}`}
          list={list}
          onTaken={(result, isAll) => {
            setDone(result)
            if (isAll) setList(null)
          }}
          onLeave={() => setList(null)}
        />
      ) : (
        <p>
          A list may have its columns in any order and by any name: you say which is which, and see every row that is
          not right before anything is imported. What is right can be taken at once, and the rest mended here. What is
          there already stays; the history of prices is never overwritten.
        </p>
      )}
      {list ? null : <Feed />}
    </BuyingRoom>
  )
}

const count = (amount: number, one: string, many: string) =>
  `${amount.toLocaleString('en')} ${amount === 1 ? one : many}`

const rowsLeft = ({ skipped }: PriceImport) => count(new Set(skipped.map(({ row }) => row)).size, 'row is', 'rows are')

const Taken = ({ result }: { result: PriceImport }) => (
  <p role="status">
    <strong>Imported.</strong> {count(result.newPrices, 'new price', 'new prices')},{' '}
    {count(result.newArticles, 'new article', 'new articles')}
    {result.changedArticles > 0 ? `, ${count(result.changedArticles, 'article', 'articles')} named anew` : ''}
    {result.known > 0 ? `, ${count(result.known, 'row', 'rows')} that the book had already` : ''}
    {result.skipped.length > 0 ? `; ${rowsLeft(result)} left to mend` : ''}.
  </p>
)

/** Where a price feed is set: one touch takes today's list. */
function Feed() {
  const feed = usePriceFeed()
  const pull = usePullFeed()
  if (!feed.data?.address) return null
  return (
    <section aria-labelledby="feed">
      <h2 id="feed">Price feed</h2>
      <p className="quiet">{feed.data.address} publishes a new list every day.</p>
      <Button variant="outline-dark" disabled={pull.isPending} onClick={() => pull.mutate()}>
        Import today’s list
      </Button>
      {pull.data ? <Taken result={pull.data} /> : null}
      {pull.isError ? <Failed error={pull.error} /> : null}
    </section>
  )
}
