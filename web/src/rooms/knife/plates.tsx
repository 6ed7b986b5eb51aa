import { platingWish } from '@fleam/contract'
import { documentOf, formatNumber, type PlatePiece, type PlatingWish } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { useSearchParams } from 'react-router-dom'
import { useFabrication } from '../../data/queries.ts'
import { useScale } from '../../data/scale.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Progress } from '../../parts/progress.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { IssueWords } from './issue-words.tsx'
import { JsonFiles } from './json-files.tsx'
import { KnifeRoom } from './knife-room.tsx'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const FIRST: PlatingWish = {
  pieces: [],
  plate: { low: 190, target: 205, high: 225, needs: [{ kind: 'any', count: 2 }] },
}
const isWhole = (read: unknown): read is PlatingWish => platingWish.safeParse(read).success

/** Weigh all, then match: which pieces make one plate, so that every guest gets the same. */
export function Component() {
  const [wish, setWish] = useKept('plates', FIRST, isWhole)
  const checked = platingWish.safeParse(wish)
  const issue = checked.success ? null : checked.error.issues[0]
  const { answer, progress, error, cancel } = useWork('plating', issue || wish.pieces.length === 0 ? null : wish)
  const format = useFormat()
  const setPlate = (changes: Partial<PlatingWish['plate']>) =>
    setWish({ ...wish, plate: { ...wish.plate, ...changes } })
  const plateOf = (id: string) => answer?.plates.findIndex((plate) => plate.ids.includes(id)) ?? -1
  return (
    <KnifeRoom title="Plates made of pieces">
      <section className="knife-piece no-print" aria-label="What is on a plate">
        <div className="knife-fields">
          <WeightField
            label="A plate weighs"
            grams={wish.plate.target}
            onChange={(target) => target && setPlate({ target })}
          />
          <WeightField label="from" grams={wish.plate.low} onChange={(low) => low !== null && setPlate({ low })} />
          <WeightField label="to" grams={wish.plate.high} onChange={(high) => high && setPlate({ high })} />
        </div>
        <Needs wish={wish} onChange={(needs) => setPlate({ needs })} />
      </section>
      <IssueWords issue={issue} />
      {error ? <Failed error={error} /> : null}
      <FromFabrication onTake={(pieces) => setWish({ ...wish, pieces })} />
      <Weighing wish={wish} onAdd={(piece) => setWish({ ...wish, pieces: [...wish.pieces, piece] })} />
      {progress === null ? null : (
        <div className="forecast-progress">
          <Progress what="Matching" done={progress} of={1} />
          <Button size="sm" variant="outline-dark" onClick={cancel}>
            Break off
          </Button>
        </div>
      )}
      {answer && wish.pieces.length > 0 ? (
        <>
          <p className="forecast-sentence">
            <strong>{answer.plates.length}</strong> plates
            {answer.mean === null ? '' : ` of ${format.weight(answer.mean)} in the mean`}
            {answer.fairness === null ? '' : `; the heaviest is ${formatNumber(answer.fairness, 2)} of the lightest`}.{' '}
            {answer.left.length > 0 ? `${answer.left.length} left over. ` : ''}
            <span className="quiet">
              {answer.gap === 0
                ? 'No better way is possible.'
                : `Within ${format.share(answer.gap)} of the best there could be.`}
            </span>
          </p>
          <Table className="buying-table" responsive>
            <thead>
              <tr>
                <th scope="col">Plate</th>
                <th scope="col">Pieces</th>
                <th scope="col" className="number">
                  Weighs
                </th>
              </tr>
            </thead>
            <tbody>
              {answer.plates.map((plate, at) => (
                <tr key={plate.ids.join(' ')}>
                  <th scope="row">{at + 1}</th>
                  <td>{plate.ids.map((id) => wordsOf(wish.pieces, id)).join(' + ')}</td>
                  <td className="number">{format.weight(plate.weight)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      ) : null}
      <Pieces
        pieces={wish.pieces}
        plateOf={plateOf}
        onRemove={(id) => setWish({ ...wish, pieces: wish.pieces.filter((piece) => piece.id !== id) })}
        onClear={() => setWish({ ...wish, pieces: [] })}
      />
      <div className="actions no-print">
        <JsonFiles what="Plates" fileName="plates" value={wish} schema={platingWish} onLoad={setWish} />
      </div>
    </KnifeRoom>
  )
}

/** Pieces that were weighed at the bench: each pile is a kind. */
function FromFabrication({ onTake }: { onTake: (pieces: PlatePiece[]) => void }) {
  const [search] = useSearchParams()
  const id = search.get('of')
  return id ? <TakePieces id={id} onTake={onTake} /> : null
}

function TakePieces({ id, onTake }: { id: string; onTake: (pieces: PlatePiece[]) => void }) {
  const fabrication = useFabrication(id)
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  if (!fabrication.data) return <Loading what="the pieces" />
  const { record } = fabrication.data
  const pieces = documentOf(record, fabrication.data)
    .piles.filter((pile) => pile.class === 'primary')
    .flatMap(({ name, pieces: grams = [] }) => grams.map((weight) => ({ weight, kind: name })))
    .map((piece, at) => ({ ...piece, id: String(at + 1) }))
  return (
    <p className="no-print">
      {pieces.length === 0 ? (
        'Nothing was weighed piece by piece in that fabrication yet.'
      ) : (
        <Button variant="outline-dark" onClick={() => onTake(pieces)}>
          Lay out the {pieces.length} pieces of {record.item.toLowerCase()}
        </Button>
      )}
    </p>
  )
}

function wordsOf(pieces: readonly PlatePiece[], id: string): string {
  const at = pieces.findIndex((piece) => piece.id === id)
  const piece = pieces[at]
  return piece ? `no. ${id} ${piece.kind === 'piece' ? '' : piece.kind} ${piece.weight} g`.replace('  ', ' ') : id
}

interface NeedsProps {
  wish: PlatingWish
  onChange: (needs: PlatingWish['plate']['needs']) => void
}

/** Kinds and counts of one plate. */
function Needs({ wish, onChange }: NeedsProps) {
  const { needs } = wish.plate
  const set = (at: number, changes: Partial<(typeof needs)[number]>) =>
    onChange(needs.map((need, each) => (each === at ? { ...need, ...changes } : need)))
  return (
    <fieldset className="plate-needs">
      <legend>One plate takes</legend>
      {needs.map((need, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: needs are told by their place while their kind is typed
        <div key={at} className="plate-need">
          <NumberField
            label={`Count ${at + 1}`}
            isLabelHidden
            value={need.count}
            min={1}
            max={12}
            onChange={(count) => count && Number.isInteger(count) && set(at, { count })}
          />
          <Form.Control
            aria-label={`Kind ${at + 1}`}
            value={need.kind}
            maxLength={120}
            onChange={(event) => event.target.value.trim() && set(at, { kind: event.target.value })}
          />
          {needs.length > 1 ? (
            <Button size="sm" variant="outline-dark" onClick={() => onChange(needs.filter((_, each) => each !== at))}>
              Leave out
            </Button>
          ) : null}
        </div>
      ))}
      <Button
        size="sm"
        variant="outline-dark"
        onClick={() => onChange([...needs, { kind: `kind ${needs.length + 1}`, count: 1 }])}
      >
        And another kind
      </Button>
      <p className="quiet">“any” takes pieces of every kind.</p>
    </fieldset>
  )
}

interface WeighingProps {
  wish: PlatingWish
  onAdd: (piece: PlatePiece) => void
}

/** One piece after the other, from the scale or typed; each gets its number. */
function Weighing({ wish, onAdd }: WeighingProps) {
  const { reading, connected } = useScale()
  const format = useFormat()
  const kinds = [...new Set(wish.plate.needs.map((need) => need.kind))].filter((kind) => kind !== 'any')
  const [kind, setKind] = useState(kinds[0] ?? 'piece')
  const [typed, setTyped] = useState<number | null>(null)
  const onScale = connected && reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const weight = typed ?? onScale
  const chosen = kinds.length === 0 ? 'piece' : kinds.includes(kind) ? kind : (kinds[0] as string)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (weight === null) return
    const last = Math.max(0, ...wish.pieces.map((piece) => Number(piece.id) || 0))
    onAdd({ id: String(last + 1), weight, kind: chosen })
    setTyped(null)
  }
  return (
    <Form className="plate-weighing no-print" onSubmit={submit}>
      {kinds.length > 1 ? (
        <Form.Group controlId="piece-kind">
          <Form.Label>This one is</Form.Label>
          <Form.Select value={chosen} onChange={(event) => setKind(event.target.value)}>
            {kinds.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </Form.Select>
        </Form.Group>
      ) : null}
      <WeightField
        key={wish.pieces.length}
        label="It weighs"
        hint={onScale === null ? 'type it, or lay it on the scale' : `on the scale: ${format.weight(onScale)}`}
        grams={null}
        onChange={setTyped}
      />
      <Button type="submit" className="main-action" disabled={weight === null}>
        Take it: no. {Math.max(0, ...wish.pieces.map((piece) => Number(piece.id) || 0)) + 1}
      </Button>
    </Form>
  )
}

interface PiecesProps {
  pieces: readonly PlatePiece[]
  plateOf: (id: string) => number
  onRemove: (id: string) => void
  onClear: () => void
}

/** The pieces as they were weighed, each with the number of its plate. */
function Pieces({ pieces, plateOf, onRemove, onClear }: PiecesProps) {
  const format = useFormat()
  if (pieces.length === 0) {
    return (
      <p className="quiet">Weigh the pieces one after the other; each gets its plate’s number as soon as it has one.</p>
    )
  }
  return (
    <section aria-labelledby="pieces-weighed">
      <h2 id="pieces-weighed">{pieces.length} weighed</h2>
      <ul className="plate-pieces">
        {pieces.map((piece) => (
          <li key={piece.id}>
            <span className="quiet">no. {piece.id}</span> {piece.kind === 'piece' ? '' : piece.kind}{' '}
            {format.weight(piece.weight)}{' '}
            <strong>{plateOf(piece.id) < 0 ? 'left over' : `plate ${plateOf(piece.id) + 1}`}</strong>
            <button
              type="button"
              className="figure no-print"
              aria-label={`Take no. ${piece.id} away`}
              onClick={() => onRemove(piece.id)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <div className="actions no-print">
        <Button size="sm" variant="outline-dark" onClick={onClear}>
          Clear the table
        </Button>
        <Button size="sm" variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
    </section>
  )
}
