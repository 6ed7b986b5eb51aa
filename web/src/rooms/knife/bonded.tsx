import { DEFERS_TO, SHAPES } from '@fleam/catalogue'
import { type BondedPlan, type BondedWish, DEFAULT_BONDED_COSTS, judgeCuts, pieceFromTemplate } from '@fleam/core'
import { useState } from 'react'
import Table from 'react-bootstrap/Table'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { Board } from './board.tsx'
import { KnifeRoom } from './knife-room.tsx'
import { useWork } from './use-work.ts'

interface Measured {
  weight: number
  length: number
}

/** Two tapered pieces as one even log: what it brings, what it costs, and both pieces alone beside it. */
export function Component() {
  const { wagePerHour, currency } = useKitchen()
  const shape = SHAPES[0] as (typeof SHAPES)[number]
  const [pair, setPair] = useState<[Measured, Measured]>([
    { weight: 2100, length: 480 },
    { weight: 2000, length: 470 },
  ])
  const [costs, setCosts] = useState({ ...DEFAULT_BONDED_COSTS, wagePerHour })
  const products = shape.products.filter((product) => product.max === undefined)
  const wish: BondedWish = {
    pieces: [
      pieceFromTemplate(shape.template, pair[0].weight, pair[0].length),
      pieceFromTemplate(shape.template, pair[1].weight, pair[1].length),
    ],
    products,
    scrap: shape.scrap,
    costs,
  }
  const { answer, error } = useWork('bonded-plan', wish)
  const setPiece = (which: 0 | 1, changes: Partial<Measured>) =>
    setPair(which === 0 ? [{ ...pair[0], ...changes }, pair[1]] : [pair[0], { ...pair[1], ...changes }])
  return (
    <KnifeRoom title="Two pieces bonded into one log">
      <section className="knife-piece no-print" aria-label="The two pieces">
        <div className="knife-fields">
          {([0, 1] as const).map((which) => (
            <div key={which} className="field-pair">
              <WeightField
                label={`${which === 0 ? 'One' : 'The other'} weighs`}
                grams={pair[which].weight}
                onChange={(weight) => weight && setPiece(which, { weight })}
              />
              <NumberField
                label="and is long, mm"
                value={pair[which].length}
                min={100}
                max={1000}
                onChange={(length) => length && setPiece(which, { length })}
              />
            </div>
          ))}
          <NumberField
            label="Enzyme, % of the weight"
            value={costs.enzymeShare * 100}
            max={5}
            onChange={(percent) => percent !== null && setCosts({ ...costs, enzymeShare: percent / 100 })}
          />
          <NumberField
            label={`A kilo of enzyme, ${currency}`}
            value={costs.enzymePerKg}
            onChange={(enzymePerKg) => enzymePerKg !== null && setCosts({ ...costs, enzymePerKg })}
          />
          <NumberField
            label={`Film, ${currency}`}
            value={costs.film}
            onChange={(film) => film !== null && setCosts({ ...costs, film })}
          />
          <NumberField
            label="Minutes to bond and wrap"
            value={costs.minutes}
            max={600}
            onChange={(minutes) => minutes !== null && setCosts({ ...costs, minutes })}
          />
          <NumberField
            label="Sets, hours"
            value={costs.settingHours}
            max={48}
            onChange={(settingHours) => settingHours !== null && setCosts({ ...costs, settingHours })}
          />
        </div>
      </section>
      <BondedCautions />
      {error ? <Failed error={error} /> : null}
      {answer ? <BondedAnswer wish={wish} plan={answer} /> : <Loading what="the log" />}
    </KnifeRoom>
  )
}

/** What bonding brings with it: gloves and mask, a label line, and another way of cooking. */
function BondedCautions() {
  const bonded = useKitchenCautions().byIds(['bonding', 'bonded-label'])
  return (
    <aside className="cautions" aria-label="Cautions">
      <ul>
        {bonded.map((caution) => (
          <li key={caution.id}>{caution.text}</li>
        ))}
      </ul>
      <p>{DEFERS_TO}</p>
    </aside>
  )
}

function BondedAnswer({ wish, plan }: { wish: BondedWish; plan: BondedPlan }) {
  const format = useFormat()
  const log = { ...wish, piece: plan.piece }
  const alone = plan.alone
  const portions = (which: BondedPlan['bonded']) => which.pieces.length
  return (
    <>
      <p className="forecast-sentence">
        Overlapped by {plan.overlap} mm they give <strong>{portions(plan.bonded)}</strong> portions, alone{' '}
        {portions(alone[0])} and {portions(alone[1])}. With {format.weight(plan.enzymeGrams)} of enzyme, film and labour
        for {format.money(plan.cost.total)}, bonding {plan.gain >= 0 ? 'keeps' : 'costs'}{' '}
        <strong className={plan.gain > 0 ? 'kept' : ''}>{format.money(Math.abs(plan.gain))}</strong>
        {plan.gain >= 0 ? '' : ' more than it brings'}. It sets for {plan.settingHours} hours in the cold.
      </p>
      <Board wish={log} judged={judgeCuts(log, plan.bonded.cuts)} lines={plan.bonded.cuts} onLines={null} />
      <Table className="buying-table" responsive>
        <thead>
          <tr>
            <th scope="col">Cut as</th>
            <th scope="col">Portions</th>
            <th scope="col" className="number">
              Worth
            </th>
            <th scope="col" className="number">
              Enzyme, film, labour
            </th>
            <th scope="col" className="number">
              Left over
            </th>
            <th scope="col" className="number">
              Scrap
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">one log</th>
            <td>{portionWords([plan.bonded])}</td>
            <td className="number">{format.money(plan.bonded.value)}</td>
            <td className="number">{format.money(plan.cost.total)}</td>
            <td className="number">{format.money(plan.net)}</td>
            <td className="number">{format.weight(plan.bonded.scrap.weight)}</td>
          </tr>
          <tr>
            <th scope="row">two alone</th>
            <td>{portionWords(alone)}</td>
            <td className="number">{format.money(plan.aloneValue)}</td>
            <td className="number">–</td>
            <td className="number">{format.money(plan.aloneValue)}</td>
            <td className="number">{format.weight(plan.aloneScrap)}</td>
          </tr>
        </tbody>
      </Table>
    </>
  )
}

function portionWords(plans: readonly BondedPlan['bonded'][]): string {
  const counts = new Map<string, number>()
  for (const { pieces } of plans) for (const { product } of pieces) counts.set(product, (counts.get(product) ?? 0) + 1)
  return [...counts].map(([product, count]) => `${count} ${product}`).join(', ')
}
