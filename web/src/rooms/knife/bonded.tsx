import { BONDED_SHAPES, DEFERS_TO, type ItemShape } from '@fleam/catalogue'
import {
  BONDED_FORMAT,
  type BondedLines,
  type BondedRequest,
  bondedLines,
  DEFAULT_BONDED_COSTS,
  pieceFromTemplate,
} from '@fleam/core/portioning'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../data/kitchen-context.ts'
import cautionsCss from '../../parts/cautions.module.css'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { LengthField } from '../../parts/length-field.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { PricePerWeightField } from '../../parts/price-per-weight-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { BondedAnswer } from './bonded-answer.tsx'
import { JsonFiles } from './json-files.tsx'
import knifeCss from './knife.module.css'
import { KnifeRoom } from './knife-room.tsx'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const isWhole = (read: unknown): read is BondedLines => bondedLines.safeParse(read).success

/** The second of a pair is never quite like the first. */
const SECOND = 0.95

function freshPair({ id, weight, length }: ItemShape, wagePerHour: number): BondedLines {
  return {
    format: BONDED_FORMAT,
    version: 1,
    shape: id,
    pair: [
      { weight, length },
      { weight: weight * SECOND, length: Math.round(length * SECOND) },
    ],
    costs: { ...DEFAULT_BONDED_COSTS, wagePerHour },
  }
}

const shapeOf = (id: string): ItemShape =>
  BONDED_SHAPES.find((shape) => shape.id === id) ?? (BONDED_SHAPES[0] as ItemShape)

function requestOf({ shape: id, pair, costs }: BondedLines): BondedRequest {
  const { template, products, scrap } = shapeOf(id)
  const [one, other] = pair
  return {
    pieces: [
      pieceFromTemplate(template, one.weight, one.length),
      pieceFromTemplate(template, other.weight, other.length),
    ],
    // What only one end of a single piece gives has no place in an even log.
    products: products.filter(({ max, within }) => max === undefined && !within),
    scrap,
    costs,
  }
}

/** Two tapered pieces as one even log: what it brings, what it costs, and both pieces alone beside it. */
export function Component() {
  const { wagePerHour } = useKitchen()
  const [lines, setLines] = useKept('bonded', freshPair(shapeOf(''), wagePerHour), isWhole)
  const [fill, setFill] = useState(0)
  const replace = (next: BondedLines) => {
    setLines(next)
    setFill((before) => before + 1)
  }
  const request = requestOf(lines)
  const format = useFormat()
  const { answer, error } = useWork('bonded-plan', request)
  return (
    <KnifeRoom
      title="Two pieces bonded into one log"
      facts={`${shapeOf(lines.shape).name}: ${lines.pair.map(({ weight, length }) => `${format.weight(weight)}, ${format.length(length)}`).join('; ')}`}
    >
      <PairFields
        key={fill}
        lines={lines}
        onChange={setLines}
        onShape={(shape) => replace(freshPair(shape, wagePerHour))}
      />
      <BondedCautions />
      {error ? <Failed error={error} /> : null}
      {answer ? <BondedAnswer request={request} plan={answer} /> : <Loading what="the log" />}
      <div className="actions no-print">
        <JsonFiles what="Two bonded" fileName="bonded" value={lines} schema={bondedLines} onLoad={replace} />
        <Button variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
    </KnifeRoom>
  )
}

interface PairFieldsProps {
  lines: BondedLines
  onChange: (lines: BondedLines) => void
  onShape: (shape: ItemShape) => void
}

function PairFields({ lines, onChange, onShape }: PairFieldsProps) {
  const { shape, pair, costs } = lines
  const setPiece = (which: 0 | 1, changes: Partial<BondedLines['pair'][0]>) => {
    const changed = { ...pair[which], ...changes }
    onChange({ ...lines, pair: which === 0 ? [changed, pair[1]] : [pair[0], changed] })
  }
  const setCost = (changes: Partial<BondedLines['costs']>) => onChange({ ...lines, costs: { ...costs, ...changes } })
  return (
    <section className="knife-piece no-print" aria-label="The two pieces">
      <div className={knifeCss.knifeFields}>
        <Form.Group controlId="bonded-shape">
          <Form.Label>What they are</Form.Label>
          <Form.Select value={shape} onChange={(event) => onShape(shapeOf(event.target.value))}>
            {BONDED_SHAPES.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {([0, 1] as const).map((which) => (
          <div key={which} className="field-pair">
            <WeightField
              label={`${which === 0 ? 'One' : 'The other'} weighs`}
              grams={pair[which].weight}
              onChange={(weight) => weight && setPiece(which, { weight })}
            />
            <LengthField
              label="and is long"
              mm={pair[which].length}
              min={100}
              max={1000}
              onChange={(length) => length && setPiece(which, { length })}
            />
          </div>
        ))}
        <CostFields costs={costs} onChange={setCost} />
      </div>
    </section>
  )
}

interface CostFieldsProps {
  costs: BondedLines['costs']
  onChange: (changes: Partial<BondedLines['costs']>) => void
}

/** What bonding takes, and what a formed portion is worth. */
function CostFields({ costs, onChange }: CostFieldsProps) {
  const { currency } = useKitchen()
  return (
    <>
      <NumberField
        label="Enzyme, % of the weight"
        value={costs.enzymeShare * 100}
        max={5}
        onChange={(percent) => percent !== null && onChange({ enzymeShare: percent / 100 })}
      />
      <PricePerWeightField
        of="enzyme"
        perKg={costs.enzymePerKg}
        onChange={(enzymePerKg) => enzymePerKg !== null && onChange({ enzymePerKg })}
      />
      <NumberField
        label={`Film, ${currency}`}
        value={costs.film}
        onChange={(film) => film !== null && onChange({ film })}
      />
      <NumberField
        label="Minutes to bond and wrap"
        value={costs.minutes}
        max={600}
        onChange={(minutes) => minutes !== null && onChange({ minutes })}
      />
      <NumberField
        label={`An hour of work, ${currency}`}
        value={costs.wagePerHour}
        onChange={(wagePerHour) => wagePerHour !== null && onChange({ wagePerHour })}
      />
      <NumberField
        label="A formed portion is worth, % of an intact one"
        hint="100 if it is sold at the same price"
        value={costs.formedShare * 100}
        max={100}
        onChange={(percent) => percent !== null && onChange({ formedShare: percent / 100 })}
      />
      <NumberField
        label="Sets, hours"
        value={costs.settingHours}
        max={48}
        onChange={(settingHours) => settingHours !== null && onChange({ settingHours })}
      />
    </>
  )
}

/** What bonding brings with it: gloves and mask, a label line, and another way of cooking. */
function BondedCautions() {
  const bonded = useKitchenCautions().byIds(['bonding', 'bonded-label'])
  return (
    <aside className={cautionsCss.cautions} aria-label="Cautions">
      <ul>
        {bonded.map((caution) => (
          <li key={caution.id}>{caution.text}</li>
        ))}
      </ul>
      <p>{DEFERS_TO}</p>
    </aside>
  )
}
