import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { PileResult } from '@fleam/core/costing'
import type { Pile } from '@fleam/core/fabrication'
import {
  givenAwayAWeek,
  type PortionFigure,
  portionControl,
  portionFigure,
  servedWeight,
} from '@fleam/core/portion-control'
import { useState } from 'react'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import css from './portion-spread.module.css'
import triesCss from './tries.module.css'
import { WeightBars } from './weight-bars.tsx'

/** How steady the hand was, what that gives away, and what is left of a portion once it is cooked. */
export function PortionSpread({ record }: { record: FabricationRecord }) {
  const { document, appraisal } = useAppraised()
  const piles = document.piles.filter((pile) => pile.class === 'primary')
  return (
    <section aria-labelledby="portions">
      <h2 id="portions">The portions themselves</h2>
      <div className={css.portionPiles}>
        {piles.map((pile) => {
          const result = appraisal.piles.find((other) => other.name === pile.name)
          return result ? <PortionPile key={pile.name} pile={pile} result={result} record={record} /> : null
        })}
      </div>
    </section>
  )
}

interface PortionPileProps {
  pile: Pile
  result: PileResult
  record: FabricationRecord
}

function PortionPile({ pile, result, record }: PortionPileProps) {
  const { format } = useAppraised()
  const [perWeek, setPerWeek] = useState<number | null>(null)
  const control = portionControl(pile, result.costPerKg)
  const open = (figure: PortionFigure, words: string) => (
    <OpenFigure
      explain={() => control && portionFigure(pile, result.costPerKg, control, figure)}
      format={format}
      className="strong"
    >
      {words}
    </OpenFigure>
  )
  const week = control === null || perWeek === null ? null : givenAwayAWeek(control, perWeek)
  return (
    <div>
      <h3>{pile.name}</h3>
      {control ? (
        <>
          <WeightBars control={control} weight={format.weight} />
          <p className={triesCss.answer}>
            {open('capability', format.share(control.capability))} within bounds.{' '}
            {control.givenAwayPerPortion === null || control.givenAwayTighter === null ? null : (
              <>
                A portion gives away {open('givenAwayPerPortion', format.money(control.givenAwayPerPortion))}; a hand
                twice as steady would give away {open('givenAwayTighter', format.money(control.givenAwayTighter))}
                {week === null
                  ? '.'
                  : `, and save ${format.money(week.saved)} of ${format.money(week.givenAway)} a week.`}
              </>
            )}
          </p>
          {control.givenAwayPerPortion === null ? null : (
            <NumberField label={`Portions of ${pile.name} served a week`} value={null} onChange={setPerWeek} />
          )}
        </>
      ) : null}
      <Served pile={pile} result={result} record={record} />
    </div>
  )
}

const MAX_PERCENT = 95

/** A raw portion as it is served. */
function Served({ pile, result, record }: PortionPileProps) {
  const { format } = useAppraised()
  const usual = record.piles.find((other) => other.name === pile.name)?.cookingLoss ?? 0
  const [percent, setPercent] = useState<number | null>(Math.round(usual * 100))
  const served = servedWeight(result, (percent ?? 0) / 100)
  if (!served) return null
  return (
    <div className={css.served}>
      <NumberField
        label={`Cooking loss of ${pile.name}, %`}
        value={percent}
        max={MAX_PERCENT}
        onChange={setPercent}
        hint="assumed until you weigh it"
      />
      <p className={triesCss.answer}>
        {format.weight(served.grams)} on the plate,{' '}
        <strong>
          <OpenFigure explain={() => served.explanation} format={format}>
            {format.quantity(served.costPer100g, 'money-per-100g')}
          </OpenFigure>
        </strong>{' '}
        for {format.smallWeightUnit === 'ounce' ? 'an ounce' : format.smallWeightUnit} served.
      </p>
    </div>
  )
}
