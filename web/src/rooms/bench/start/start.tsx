import type { Cook, FabricationRow, Item, LotTrace } from '@fleam/contract'
import { isSentBack } from '@fleam/core'
import { Link, useSearchParams } from 'react-router-dom'
import { useLot } from '../../../data/buying-queries.ts'
import { useCooks, useFabrications, useItems } from '../../../data/queries.ts'
import { OpenFabrications } from '../../../parts/open-fabrications.tsx'
import { Failed, Loading } from '../../../parts/states.tsx'
import { Abandoned } from '../finish/abandon.tsx'
import { StartForm } from './start-form.tsx'

/** The bench without a fabrication: what is on the board, and starting another one. */
export function Component() {
  const [items, cooks, fabrications] = [useItems(), useCooks(), useFabrications()]
  const [search] = useSearchParams()
  const lotId = search.get('lot')
  const lot = useLot(lotId)
  const failed = [items, cooks, fabrications, ...(lotId === null ? [] : [lot])].find(
    (query) => query.isError && !query.data,
  )
  if (failed) return <Failed error={failed.error} retry={() => void failed.refetch()} />
  if (!items.data || !cooks.data || !fabrications.data) return <Loading what="the bench" />
  if (lotId !== null && !lot.data) return <Loading what="the lot" />
  return (
    <StartRoom
      key={lotId}
      items={items.data}
      cooks={cooks.data}
      fabrications={fabrications.data}
      lot={lotId === null ? null : (lot.data ?? null)}
    />
  )
}

interface StartRoomProps {
  items: Item[]
  cooks: Cook[]
  fabrications: FabricationRow[]
  /** The lot that it is cut from, where one was chosen. */
  lot: LotTrace | null
}

function StartRoom({ items, cooks, fabrications, lot }: StartRoomProps) {
  const open = fabrications.filter((each) => each.status === 'open')
  const abandoned = fabrications.filter((each) => each.status === 'abandoned')
  return (
    <div className="room">
      <h1>Bench</h1>
      {open.length > 0 ? <OpenFabrications rows={open} /> : null}
      {abandoned.length > 0 ? <Abandoned rows={abandoned} /> : null}
      <section aria-labelledby="start">
        <h2 id="start">What goes on the board?</h2>
        {lot ? (
          <p>
            From lot <Link to={`/buying/lots/${lot.lot.id}`}>{lot.lot.code ?? 'without a number'}</Link>: {lot.lot.item}
            , {lot.lot.supplier}. What is left of it stands below; change it where you take less.
          </p>
        ) : null}
        {lot && isSentBack(lot.lot.standing) ? (
          <p className="refusal">It went back to the supplier: nothing is cut from it.</p>
        ) : (
          <StartForm items={items} cooks={cooks} latest={fabrications} lot={lot} />
        )}
      </section>
    </div>
  )
}
