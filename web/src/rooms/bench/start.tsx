import type { Cook, FabricationRow, Item } from '@fleam/contract'
import { useCooks, useFabrications, useItems } from '../../data/queries.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { OpenFabrications } from '../today/open-fabrications.tsx'
import { StartForm } from './start-form.tsx'

/** The bench without a fabrication: what is on the board, and starting another one. */
export function Component() {
  const [items, cooks, fabrications] = [useItems(), useCooks(), useFabrications()]
  const failed = [items, cooks, fabrications].find((query) => query.isError && !query.data)
  if (failed) return <Failed error={failed.error} retry={() => void failed.refetch()} />
  if (!items.data || !cooks.data || !fabrications.data) return <Loading what="the bench" />
  return <StartRoom items={items.data} cooks={cooks.data} fabrications={fabrications.data} />
}

interface StartRoomProps {
  items: Item[]
  cooks: Cook[]
  fabrications: FabricationRow[]
}

function StartRoom({ items, cooks, fabrications }: StartRoomProps) {
  const open = fabrications.filter((each) => each.status === 'open')
  return (
    <div className="room">
      <h1>Bench</h1>
      {open.length > 0 ? <OpenFabrications rows={open} /> : null}
      <section aria-labelledby="start">
        <h2 id="start">What goes on the board?</h2>
        <StartForm items={items} cooks={cooks} latest={fabrications} />
      </section>
    </div>
  )
}
