import type { MeasuringWay } from '@fleam/core/facts'
import type { KnifeLines } from '@fleam/core/portioning'
import {
  explainBelly,
  explainCameOff,
  explainOff,
  explainPart,
  type JudgedCuts,
  type JudgedPart,
  type MeasuredPortion,
  type PartFigure,
  type PortionRequest,
} from '@fleam/core/portioning'
import { memo } from 'react'
import { useMeasuredCuts } from '../../outbox/measured-cuts.ts'
import { Explained } from '../../parts/figure.tsx'
import { trimmed } from '../../parts/measured-piece.ts'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { misfitWords } from './misfit-words.ts'

interface PartsTableProps {
  request: PortionRequest
  judged: JudgedCuts
  draft: KnifeLines
}

/** Every part between two lines, from the end where the knife begins; what came off along a fillet stands below. */
export function PartsTable({ request, judged, draft }: PartsTableProps) {
  const measured = useMeasuredCuts().of(draft.way, draft.shape)
  const isSlanted = hasOwnThickness(request)
  return (
    <section aria-labelledby="parts">
      <h2 id="parts">Cut by cut</h2>
      <SmallTable
        heads={[
          'Cut',
          'Product',
          numbers('Along the piece'),
          isSlanted ? numbers('Own thickness') : null,
          numbers('Weighs about'),
          numbers('Face on its left'),
          numbers('Face on its right'),
          numbers('Worth'),
        ]}
        responsive
      >
        {judged.parts.map((part, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part is told by its place, so that its row stays while it is moved
          <PartRow key={index} request={request} part={part} at={index} way={draft.way} measured={measured} />
        ))}
        <CameOff draft={draft} columns={isSlanted ? 2 : 1} />
      </SmallTable>
    </section>
  )
}

/** Slanted or folded, a portion is not as thick as it is long along the piece. */
const hasOwnThickness = ({ piece, products }: PortionRequest) =>
  (piece.biasAngle ?? 0) > 0 || products.some(({ folded }) => folded)

interface PartRowProps {
  request: PortionRequest
  part: JudgedPart
  at: number
  way: MeasuringWay
  measured: readonly MeasuredPortion[]
}

/** The row of a part; a line that is dragged changes two of them, and only they are drawn anew. */
const PartRow = memo(function PartRow({ request, part, at, way, measured }: PartRowProps) {
  const format = useFormat()
  const why = misfitWords(part)
  return (
    <tr>
      <th scope="row">{at + 1}</th>
      <td>
        {part.product ?? 'scrap'}
        {why ? <span className="quiet"> {why}</span> : null}
      </td>
      <td className="number">
        <PartNumber request={request} part={part} figure="along" />
      </td>
      {hasOwnThickness(request) ? (
        <td className="number">
          <PartNumber request={request} part={part} figure="thickness" />
        </td>
      ) : null}
      <td className="number">
        <PartNumber request={request} part={part} figure="weight" />{' '}
        <span className="quiet">
          ± <Explained explanation={explainOff(part, way, measured)} format={format} />
        </span>
      </td>
      <td className="number">
        <PartNumber request={request} part={part} figure="first-face" />
      </td>
      <td className="number">
        <PartNumber request={request} part={part} figure="second-face" />
      </td>
      <td className="number">
        <PartNumber request={request} part={part} figure="worth" />
      </td>
    </tr>
  )
}, isSameRow)

/** A part between the same two lines of the same piece is the same part. */
function isSameRow(before: PartRowProps, after: PartRowProps): boolean {
  return (
    before.part.from === after.part.from &&
    before.part.to === after.part.to &&
    before.at === after.at &&
    before.request === after.request &&
    before.way === after.way &&
    areSame(before.measured, after.measured)
  )
}

const areSame = (one: readonly MeasuredPortion[], other: readonly MeasuredPortion[]) =>
  one.length === other.length &&
  one.every(({ planned, weighed }, index) => planned === other[index]?.planned && weighed === other[index]?.weighed)

interface PartNumberProps {
  request: PortionRequest
  part: JudgedPart
  figure: PartFigure
}

function PartNumber({ request, part, figure }: PartNumberProps) {
  const format = useFormat()
  return <Explained explanation={explainPart(request, part, figure)} format={format} />
}

/** The belly and the notch of a fillet, which come off before it is cut across. */
function CameOff({ draft, columns }: { draft: KnifeLines; columns: number }) {
  const format = useFormat()
  const { belly, notch } = draft
  const off = trimmed(draft)
  return (
    <>
      {belly ? (
        <tr>
          <th scope="row">along it</th>
          <td>belly</td>
          <td colSpan={columns} />
          <td className="number">
            <Explained explanation={explainCameOff(draft.weight, off, 'belly')} format={format} />
          </td>
          <td colSpan={2} />
          <td className="number">
            <Explained explanation={explainBelly(off, belly.valuePerKg ?? 0)} format={format} />
          </td>
        </tr>
      ) : null}
      {notch ? (
        <tr>
          <th scope="row">along it</th>
          <td>
            notch <span className="quiet">scrap</span>
          </td>
          <td colSpan={columns} />
          <td className="number">
            <Explained explanation={explainCameOff(draft.weight, off, 'notch')} format={format} />
          </td>
          <td colSpan={2} />
          <td />
        </tr>
      ) : null}
    </>
  )
}
