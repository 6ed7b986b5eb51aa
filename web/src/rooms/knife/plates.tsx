import { platingRequest } from '@fleam/core/plating'
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
import { type PlatesOnTable, usePlatesOnTable } from './use-plates-on-table.ts'

/** Which pieces make one plate, so that every guest gets the same: numbered as they are weighed, or all at the end. */
export function Component() {
  const plates = usePlatesOnTable()
  const { request, matched, plating, given, begin, setPieces, setPlate } = plates
  const format = useFormat()
  return (
    <KnifeRoom
      title="Plates made of pieces"
      facts={`plates of ${format.weight(request.plate.target)}, ${format.weight(request.plate.low)} to ${format.weight(request.plate.high)}, each ${request.plate.needs.map(({ count, kind }) => `${count} ${kind}`).join(' and ')}`}
    >
      <section className="knife-piece no-print" aria-label="What is on a plate">
        <PlateFields plates={plates} />
        <PlateNeeds request={request} onChange={(needs) => setPlate({ needs })} />
      </section>
      <IssueWords issue={plates.issue} />
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
        <PlatesAnswer pieces={request.pieces} plating={plating} isAsWeighed={plates.isAsWeighed} />
      ) : null}
      <PlatePieces
        pieces={request.pieces}
        plateOf={(id) => given.get(id) ?? null}
        isWhole={(id) => plating?.plates.some((plate) => plate.ids.includes(id)) ?? false}
        kinds={kindsOf(request)}
        onKind={plates.setKind}
        onRemove={(id) => setPieces(request.pieces.filter((piece) => piece.id !== id))}
        onClear={() => begin({ ...request, pieces: [] })}
      />
      <div className="actions no-print">
        <JsonFiles what="Plates" fileName="plates" value={request} schema={platingRequest} onLoad={begin} />
      </div>
    </KnifeRoom>
  )
}

/** What a plate weighs, and when a piece gets its number. */
function PlateFields({ plates: { request, isAsWeighed, setAsWeighed, setPlate } }: { plates: PlatesOnTable }) {
  return (
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
            setAsWeighed(event.target.value === 'as-weighed')
          }}
        >
          <option value="at-the-end">at the end</option>
          <option value="as-weighed">as it is weighed</option>
        </Form.Select>
        <Form.Text>{isAsWeighed ? 'what was said of a piece stays' : 'all are matched anew with each piece'}</Form.Text>
      </Form.Group>
    </div>
  )
}
