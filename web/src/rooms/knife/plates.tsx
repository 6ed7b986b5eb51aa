import { platingRequest } from '@fleam/contract'
import { numbersOf, type PlatePiece, type PlatingRequest, platesAsWeighed, platingByNumbers } from '@fleam/core'
import { useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Progress } from '../../parts/progress.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { IssueWords } from './issue-words.tsx'
import { JsonFiles } from './json-files.tsx'
import css from './knife.module.css'
import { KnifeRoom } from './knife-room.tsx'
import { PlateNeeds } from './plate-needs.tsx'
import { PlatePieces } from './plate-pieces.tsx'
import { FromFabrication, kindsOf, PlateWeighing } from './plate-weighing.tsx'
import { PlatesAnswer } from './plates-answer.tsx'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const FIRST: PlatingRequest = {
  pieces: [],
  plate: { low: 190, target: 205, high: 225, needs: [{ kind: 'any', count: 2 }] },
}
const isWhole = (read: unknown): read is PlatingRequest => platingRequest.safeParse(read).success

type Numbers = Record<string, number>
const areNumbers = (read: unknown): read is Numbers =>
  typeof read === 'object' && read !== null && Object.values(read).every((number) => Number.isInteger(number))
const isFlag = (read: unknown): read is boolean => typeof read === 'boolean'

/** Which pieces make one plate, so that every guest gets the same: numbered as they are weighed, or all at the end. */
export function Component() {
  const [request, setRequest] = useKept('plates', FIRST, isWhole)
  const [isAsWeighed, setAsWeighed] = useKept('plates-as-weighed', false, isFlag)
  const [numbers, setNumbers] = useKept<Numbers>('plates-numbers', {}, areNumbers)
  const format = useFormat()
  const checked = platingRequest.safeParse(request)
  const issue = checked.success ? null : checked.error.issues[0]
  const isWorking = !issue && request.pieces.length > 0
  const matched = useWork('plating', isWorking && !isAsWeighed ? request : null)
  const asWeighed = useMemo(
    () => (isWorking && isAsWeighed ? platesAsWeighed(request, new Map(Object.entries(numbers))) : null),
    [isWorking, isAsWeighed, request, numbers],
  )
  const plating = asWeighed ? platingByNumbers(request, asWeighed) : matched.answer
  const given = asWeighed ?? (plating ? numbersOf(plating) : new Map<string, number>())
  /** Other pieces: a number that was said stays with its piece. */
  const setPieces = (pieces: PlatePiece[]) => {
    if (asWeighed) setNumbers(Object.fromEntries(asWeighed))
    setRequest({ ...request, pieces })
  }
  /** A piece that was called the wrong kind: the others keep what was said of them. */
  const setKind = (id: string, kind: string) => {
    if (asWeighed) setNumbers(Object.fromEntries([...asWeighed].filter(([other]) => other !== id)))
    setRequest({ ...request, pieces: request.pieces.map((piece) => (piece.id === id ? { ...piece, kind } : piece)) })
  }
  /** Other plates, or another table: nothing that was said holds. */
  const begin = (next: PlatingRequest) => {
    setNumbers({})
    setRequest(next)
  }
  const setPlate = (changes: Partial<PlatingRequest['plate']>) =>
    begin({ ...request, plate: { ...request.plate, ...changes } })
  return (
    <KnifeRoom
      title="Plates made of pieces"
      facts={`plates of ${format.weight(request.plate.target)}, ${format.weight(request.plate.low)} to ${format.weight(request.plate.high)}, each ${request.plate.needs.map(({ count, kind }) => `${count} ${kind}`).join(' and ')}`}
    >
      <section className="knife-piece no-print" aria-label="What is on a plate">
        <div className={css.knifeFields}>
          <WeightField
            label="A plate weighs"
            grams={request.plate.target}
            onChange={(target) => target && setPlate({ target })}
          />
          <WeightField label="from" grams={request.plate.low} onChange={(low) => low !== null && setPlate({ low })} />
          <WeightField label="to" grams={request.plate.high} onChange={(high) => high && setPlate({ high })} />
          <Form.Group controlId="plates-numbering">
            <Form.Label>A piece gets its plate</Form.Label>
            <Form.Select
              value={isAsWeighed ? 'as-weighed' : 'at-the-end'}
              onChange={(event) => {
                setNumbers({})
                setAsWeighed(event.target.value === 'as-weighed')
              }}
            >
              <option value="at-the-end">at the end</option>
              <option value="as-weighed">as it is weighed</option>
            </Form.Select>
            <Form.Text>
              {isAsWeighed ? 'what was said of a piece stays' : 'all are matched anew with each piece'}
            </Form.Text>
          </Form.Group>
        </div>
        <PlateNeeds request={request} onChange={(needs) => setPlate({ needs })} />
      </section>
      <IssueWords issue={issue} />
      {matched.error ? <Failed error={matched.error} /> : null}
      <FromFabrication onTake={(pieces) => begin({ ...request, pieces })} />
      <PlateWeighing request={request} onAdd={(piece) => setPieces([...request.pieces, piece])} />
      {matched.progress === null ? null : (
        <div className={css.forecastProgress}>
          <Progress what="Matching" done={matched.progress} of={1} />
          <Button size="sm" variant="outline-dark" onClick={matched.cancel}>
            Break off
          </Button>
        </div>
      )}
      {plating && request.pieces.length > 0 ? (
        <PlatesAnswer pieces={request.pieces} plating={plating} isAsWeighed={isAsWeighed} />
      ) : null}
      <PlatePieces
        pieces={request.pieces}
        plateOf={(id) => given.get(id) ?? null}
        isWhole={(id) => plating?.plates.some((plate) => plate.ids.includes(id)) ?? false}
        kinds={kindsOf(request)}
        onKind={setKind}
        onRemove={(id) => setPieces(request.pieces.filter((piece) => piece.id !== id))}
        onClear={() => begin({ ...request, pieces: [] })}
      />
      <div className="actions no-print">
        <JsonFiles what="Plates" fileName="plates" value={request} schema={platingRequest} onLoad={begin} />
      </div>
    </KnifeRoom>
  )
}
