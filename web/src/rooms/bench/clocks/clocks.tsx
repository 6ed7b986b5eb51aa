import type { Bench } from '../state/use-bench.ts'
import { ColdClocks } from './cold-clocks.tsx'
import { ShareWork } from './share-work.tsx'
import { WhoWorksHere } from './who-works-here.tsx'

/** How long it has been out of the cold, who works here, and whose time runs: the labour that the verdict pays. */
export function Clocks({ bench }: { bench: Bench }) {
  if (bench.live.record.status !== 'open') return null
  return (
    <>
      <ColdClocks live={bench.live} cookId={bench.settings.cookId ?? bench.live.record.cookId} />
      <WhoWorksHere bench={bench} />
      {bench.live.record.units > 1 ? <ShareWork bench={bench} /> : null}
    </>
  )
}
