import { USUAL_RACK } from '@fleam/catalogue'
import { racksWished, rackWish } from '@fleam/contract'
import {
  explainOffTarget,
  explainRackWeight,
  explainSpread,
  RACK_STYLES,
  type Rack,
  type RackPlan,
  type RackStyle,
  type RackWish,
  type RibRef,
} from '@fleam/core'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { Explained } from '../../parts/figure.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { IssueWords } from './issue-words.tsx'
import { JsonFiles } from './json-files.tsx'
import { KnifeRoom } from './knife-room.tsx'
import { RackDrawing } from './rack-drawing.tsx'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const STYLE_WORDS: Readonly<Record<RackStyle, string>> = {
  straight: 'straight between the ribs',
  graded: 'graded, the blade at an angle',
  pairs: 'single ribs, put together on plates',
}

const FIRST: RackWish = {
  racks: [{ ...USUAL_RACK, eye: [...USUAL_RACK.eye] }],
  target: 195,
  low: 175,
  high: 215,
  perPortion: 'any',
  style: 'graded',
}
const MOST_RACKS = 8
const isWhole = (read: unknown): read is RackWish => rackWish.safeParse(read).success

/** Where to cut racks so that every plate is right. */
export function Component() {
  const [wish, setWish] = useKept('racks', FIRST, isWhole)
  const change = (changes: Partial<RackWish>) => setWish({ ...wish, ...changes })
  const setRack = (at: number, changes: Partial<Rack>) =>
    change({ racks: wish.racks.map((rack, each) => (each === at ? { ...rack, ...changes } : rack)) })
  const checked = rackWish.safeParse(wish)
  const issue = checked.success ? null : checked.error.issues[0]
  const { answer, error } = useWork('rack-plan', issue ? null : wish)
  return (
    <KnifeRoom title="Racks">
      <section className="knife-piece no-print" aria-label="What is wanted">
        <div className="knife-fields">
          <WeightField
            label="A portion weighs"
            grams={wish.target}
            onChange={(target) => target && change({ target })}
          />
          <WeightField label="from" grams={wish.low} onChange={(low) => low !== null && change({ low })} />
          <WeightField label="to" grams={wish.high} onChange={(high) => high && change({ high })} />
          <Form.Group controlId="ribs-each">
            <Form.Label>Ribs in it</Form.Label>
            <Form.Select
              value={String(wish.perPortion)}
              onChange={(event) =>
                change({ perPortion: event.target.value === 'any' ? 'any' : (Number(event.target.value) as 1 | 2 | 3) })
              }
            >
              <option value="any">what fits best</option>
              <option value="1">one</option>
              <option value="2">two</option>
              <option value="3">three</option>
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="rack-style">
            <Form.Label>Cut</Form.Label>
            <Form.Select value={wish.style} onChange={(event) => change({ style: event.target.value as RackStyle })}>
              {RACK_STYLES.map((style) => (
                <option key={style} value={style}>
                  {STYLE_WORDS[style]}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        </div>
      </section>
      {wish.racks.map((rack, at) => (
        <RackFields
          // biome-ignore lint/suspicious/noArrayIndexKey: racks are told by their place on the board
          key={at}
          rack={rack}
          name={wish.racks.length > 1 ? `Rack ${at + 1}` : 'The rack'}
          onChange={(changes) => setRack(at, changes)}
        />
      ))}
      <div className="actions no-print">
        {wish.racks.length < MOST_RACKS ? (
          <Button
            size="sm"
            variant="outline-dark"
            onClick={() => change({ racks: [...wish.racks, { ...(wish.racks.at(-1) as Rack) }] })}
          >
            Lay another rack beside it
          </Button>
        ) : null}
        {wish.racks.length > 1 ? (
          <Button size="sm" variant="outline-dark" onClick={() => change({ racks: wish.racks.slice(0, -1) })}>
            Take the last rack away
          </Button>
        ) : null}
        <Button size="sm" variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
        <JsonFiles what="Racks" fileName="racks" value={wish} schema={racksWished} onLoad={setWish} />
      </div>
      <IssueWords issue={issue} />
      {error ? <Failed error={error} /> : null}
      {issue ? null : answer ? <RackAnswer wish={wish} plan={answer} /> : <Loading what="the cuts" />}
    </KnifeRoom>
  )
}

interface RackFieldsProps {
  rack: Rack
  name: string
  onChange: (changes: Partial<Rack>) => void
}

function RackFields({ rack, name, onChange }: RackFieldsProps) {
  const setBones = (bones: number) =>
    onChange({ bones, eye: Array.from({ length: bones }, (_, at) => rack.eye[at] ?? rack.eye.at(-1) ?? 50) })
  return (
    <fieldset className="knife-piece no-print">
      <legend>{name}</legend>
      <div className="knife-fields">
        <WeightField label="Weighs" grams={rack.weight} onChange={(weight) => weight && onChange({ weight })} />
        <NumberField
          label="Ribs"
          value={rack.bones}
          min={1}
          max={13}
          onChange={(bones) => bones && Number.isInteger(bones) && setBones(bones)}
        />
        <WeightField
          label="Bones weigh"
          grams={rack.boneWeight}
          onChange={(boneWeight) => boneWeight !== null && onChange({ boneWeight })}
        />
      </div>
      <div className="eye-row">
        {rack.eye.map((eye, at) => (
          <NumberField
            // biome-ignore lint/suspicious/noArrayIndexKey: ribs are told by their place
            key={`${rack.bones}-${at}`}
            label={`Eye ${at + 1}`}
            value={eye}
            min={1}
            max={1000}
            onChange={(size) =>
              size !== null && onChange({ eye: rack.eye.map((each, rib) => (rib === at ? size : each)) })
            }
          />
        ))}
      </div>
      <p className="quiet">Widths of the eye at each rib, from the loin end: only their ratio counts.</p>
    </fieldset>
  )
}

function RackAnswer({ wish, plan }: { wish: RackWish; plan: RackPlan }) {
  const format = useFormat()
  const ribWords = (refs: readonly RibRef[]) =>
    refs.map(([rack, rib]) => (wish.racks.length > 1 ? `${rack + 1}/${rib + 1}` : String(rib + 1))).join(', ')
  const within = plan.portions.filter(({ weight }) => weight >= wish.low && weight <= wish.high).length
  return (
    <>
      <p className="forecast-sentence">
        {plan.portions.length} portions, <strong>{within}</strong> within {format.weight(wish.low)} to{' '}
        {format.weight(wish.high)}
        {plan.spread === null ? '.' : '; heaviest less lightest '}
        {plan.spread === null ? null : (
          <Explained explanation={explainSpread(plan.portions.map(({ weight }) => weight))} format={format} />
        )}
        {plan.spreadStraight === null || plan.spread === null
          ? ''
          : `, cut straight ${format.weight(plan.spreadStraight)}.`}
      </p>
      {wish.racks.map((rack, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: racks are told by their place on the board
        <RackDrawing key={at} rack={rack} at={at} plan={plan} />
      ))}
      <Table className="buying-table" responsive>
        <thead>
          <tr>
            <th scope="col">Plate</th>
            <th scope="col">Ribs, from the loin end</th>
            <th scope="col" className="number">
              Weighs
            </th>
            <th scope="col" className="number">
              Off the target
            </th>
          </tr>
        </thead>
        <tbody>
          {plan.portions.map((portion, at) => (
            <tr key={portion.bones.join(' ')}>
              <th scope="row">{at + 1}</th>
              <td>{ribWords(portion.bones)}</td>
              <td className="number">
                <Explained explanation={explainRackWeight(wish, plan, portion)} format={format} />
              </td>
              <td className="number">
                <Explained explanation={explainOffTarget(wish, portion)} format={format} />
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {plan.left.length > 0 ? (
        <p>
          Left over: {ribWords(plan.left)}. Odd ribs make a tasting plate, a staff meal, or go with the next rack: lay
          it beside this one.
        </p>
      ) : null}
    </>
  )
}
