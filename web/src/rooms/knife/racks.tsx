import { USUAL_RACK } from '@fleam/catalogue'
import {
  RACK_STYLES,
  type Rack,
  type RackRequest,
  type RackStyle,
  rackRequest,
  racksRequested,
} from '@fleam/core/portioning'
import { useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { IssueWords } from './issue-words.tsx'
import { JsonFiles } from './json-files.tsx'
import css from './knife.module.css'
import { KnifeRoom } from './knife-room.tsx'
import { RackAnswer } from './rack-answer.tsx'
import { RackFields } from './rack-fields.tsx'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const STYLE_WORDS: Readonly<Record<RackStyle, string>> = {
  straight: 'straight',
  graded: 'at a graded angle',
  pairs: 'single ribs, plated',
}

function usualRack(): Rack {
  const { eyeWidths, ...rack } = USUAL_RACK
  return { ...rack, eye: [...eyeWidths] }
}

const FIRST: RackRequest = {
  racks: [usualRack()],
  target: 195,
  low: 175,
  high: 215,
  perPortion: 'any',
  style: 'graded',
}
const MAX_RACKS = 8
/** Meat follows the area of the eye: what is measured across it is squared for the planner. */
const withAreas = (request: RackRequest): RackRequest => ({
  ...request,
  racks: request.racks.map((rack) => ({ ...rack, eye: rack.eye.map((width) => width ** 2) })),
})
/** A plan of areas, as a file has it, in the widths that the fields show. */
const withWidths = (request: RackRequest): RackRequest => ({
  ...request,
  racks: request.racks.map((rack) => ({ ...rack, eye: rack.eye.map((area) => Math.sqrt(area)) })),
})
const isWhole = (read: unknown): read is RackRequest => rackRequest.safeParse(read).success

/** Where to cut racks so that every plate is right. */
export function Component() {
  const [request, setRequest] = useKept('racks', FIRST, isWhole)
  const change = (changes: Partial<RackRequest>) => setRequest({ ...request, ...changes })
  const setRack = (at: number, changes: Partial<Rack>) =>
    change({ racks: request.racks.map((rack, index) => (index === at ? { ...rack, ...changes } : rack)) })
  const checked = rackRequest.safeParse(request)
  const issue = checked.success ? null : checked.error.issues[0]
  const format = useFormat()
  const asked = useMemo(() => withAreas(request), [request])
  const { answer, error } = useWork('rack-plan', issue ? null : asked)
  return (
    <KnifeRoom
      title="Racks"
      facts={`${request.racks.map(({ weight, bones }) => `${format.weight(weight)} of ${bones} ribs`).join(', ')}; portions of ${format.weight(request.target)}, ${format.weight(request.low)} to ${format.weight(request.high)}; ${STYLE_WORDS[request.style]}`}
    >
      <Wanted request={request} onChange={change} />
      {request.racks.map((rack, index) => (
        <RackFields
          // biome-ignore lint/suspicious/noArrayIndexKey: racks are told by their place on the board
          key={index}
          rack={rack}
          name={request.racks.length > 1 ? `Rack ${index + 1}` : 'The rack'}
          onChange={(changes) => setRack(index, changes)}
        />
      ))}
      <div className="actions no-print">
        <RackButtons racks={request.racks} onChange={(racks) => change({ racks })} />
        <Button variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
        <JsonFiles
          what="Racks"
          fileName="racks"
          value={asked}
          schema={racksRequested}
          onLoad={(read) => setRequest(withWidths(read))}
        />
      </div>
      <IssueWords issue={issue} />
      {error ? <Failed error={error} /> : null}
      {issue ? null : answer ? <RackAnswer request={asked} plan={answer} /> : <Loading what="the cuts" />}
    </KnifeRoom>
  )
}

interface WantedProps {
  request: RackRequest
  onChange: (changes: Partial<RackRequest>) => void
}

/** The portion, and how it is cut. */
const Wanted = ({ request, onChange }: WantedProps) => (
  <section className="knife-piece no-print" aria-label="What is wanted">
    <div className={css.knifeFields}>
      <WeightField
        label="A portion weighs"
        grams={request.target}
        onChange={(target) => target && onChange({ target })}
      />
      <WeightField label="from" grams={request.low} onChange={(low) => low !== null && onChange({ low })} />
      <WeightField label="to" grams={request.high} onChange={(high) => high && onChange({ high })} />
      <Form.Group controlId="ribs-each">
        <Form.Label>Ribs in it</Form.Label>
        <Form.Select
          value={String(request.perPortion)}
          onChange={(event) =>
            onChange({ perPortion: event.target.value === 'any' ? 'any' : (Number(event.target.value) as 1 | 2 | 3) })
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
        <Form.Select value={request.style} onChange={(event) => onChange({ style: event.target.value as RackStyle })}>
          {RACK_STYLES.map((style) => (
            <option key={style} value={style}>
              {STYLE_WORDS[style]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
    </div>
  </section>
)

interface RackButtonsProps {
  racks: RackRequest['racks']
  onChange: (racks: RackRequest['racks']) => void
}

const RackButtons = ({ racks, onChange }: RackButtonsProps) => (
  <>
    {racks.length < MAX_RACKS ? (
      <Button variant="outline-dark" onClick={() => onChange([...racks, { ...(racks.at(-1) as Rack) }])}>
        Lay another rack beside it
      </Button>
    ) : null}
    {racks.length > 1 ? (
      <Button variant="outline-dark" onClick={() => onChange(racks.slice(0, -1))}>
        Take the last rack away
      </Button>
    ) : null}
  </>
)
