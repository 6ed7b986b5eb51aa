import { documentOf } from '@fleam/core/fabrication'
import type { PlatePiece, PlatingRequest } from '@fleam/core/plating'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useSearchParams } from 'react-router-dom'
import { useFabrication } from '../../data/queries.ts'
import { useScale } from '../../data/scale.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import css from './plate-weighing.module.css'

/** Pieces that were weighed at the bench: each pile is a kind. */
export function FromFabrication({ onTake }: { onTake: (pieces: PlatePiece[]) => void }) {
  const [search] = useSearchParams()
  const id = search.get('of')
  return id ? <TakePieces id={id} onTake={onTake} /> : null
}

function TakePieces({ id, onTake }: { id: string; onTake: (pieces: PlatePiece[]) => void }) {
  const fabrication = useFabrication(id)
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  if (!fabrication.data) return <Loading what="the pieces" />
  const { record } = fabrication.data
  const pieces = documentOf(record, fabrication.data.facts)
    .piles.filter((pile) => pile.class === 'primary')
    .flatMap(({ name, pieces: grams = [] }) => grams.map((weight) => ({ weight, kind: name })))
    .map((piece, index) => ({ ...piece, id: String(index + 1) }))
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

/** Kinds that a plate asks for by name. */
export const kindsOf = ({ plate }: PlatingRequest): string[] =>
  [...new Set(plate.needs.map((need) => need.kind))].filter((kind) => kind !== 'any')

interface PlateWeighingProps {
  request: PlatingRequest
  onAdd: (piece: PlatePiece) => void
}

/** One piece after the other, from the scale or typed; each gets its number. */
export function PlateWeighing({ request, onAdd }: PlateWeighingProps) {
  const { reading, connected } = useScale()
  const format = useFormat()
  const kinds = kindsOf(request)
  const [kind, setKind] = useState(kinds[0] ?? 'piece')
  const [typed, setTyped] = useState<number | null>(null)
  const onScale = connected && reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const weight = typed ?? onScale
  const chosen = kinds.length === 0 ? 'piece' : kinds.includes(kind) ? kind : (kinds[0] as string)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (weight === null) return
    const last = Math.max(0, ...request.pieces.map((piece) => Number(piece.id) || 0))
    onAdd({ id: String(last + 1), weight, kind: chosen })
    setTyped(null)
  }
  return (
    <Form className={`${css.plateWeighing} no-print`} onSubmit={submit}>
      {kinds.length > 1 ? (
        <Form.Group controlId="piece-kind">
          <Form.Label>This one is</Form.Label>
          <Form.Select value={chosen} onChange={(event) => setKind(event.target.value)}>
            {kinds.map((kind) => (
              <option key={kind}>{kind}</option>
            ))}
          </Form.Select>
        </Form.Group>
      ) : null}
      <WeightField
        key={request.pieces.length}
        label="It weighs"
        hint={onScale === null ? 'type it, or lay it on the scale' : `on the scale: ${format.weight(onScale)}`}
        grams={null}
        onChange={setTyped}
      />
      <Button type="submit" className="main-action" disabled={weight === null}>
        Take it: no. {Math.max(0, ...request.pieces.map((piece) => Number(piece.id) || 0)) + 1}
      </Button>
    </Form>
  )
}
