import type { FabricationRecord } from '@fleam/contract'
import { stepWorth } from '@fleam/core'
import Table from 'react-bootstrap/Table'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { useKitchen } from '../../parts/kitchen-context.ts'

/** Is each optional step worth its time? Grams gained against seconds, at this record's wage. */
export function StepWorths({ record }: { record: FabricationRecord }) {
  const { format } = useAppraised()
  const kitchen = useKitchen()
  const wagePerHour = record.labour[0]?.ratePerHour ?? kitchen.wagePerHour
  const rows = record.steps.flatMap((step) => {
    const valuePerKg = record.piles.find((pile) => pile.name === step.gain?.pile)?.valuePerKg ?? null
    if (!step.isOptional || !step.gain || valuePerKg === null) return []
    return [{ step, gain: step.gain, ...stepWorth({ ...step.gain, valuePerKg, wagePerHour }) }]
  })
  if (rows.length === 0) return null
  return (
    <section aria-labelledby="step-worths">
      <h2 id="step-worths">Is the step worth it</h2>
      <Table className="buying-table" responsive>
        <thead>
          <tr>
            <th scope="col">Optional step</th>
            <th scope="col" className="number">
              Gains
            </th>
            <th scope="col" className="number">
              Takes
            </th>
            <th scope="col" className="number">
              Worth, each
            </th>
            <th scope="col" className="number">
              An hour of it
            </th>
            <th scope="col" className="number">
              Even at a wage of
            </th>
            <th scope="col">So</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ step, gain, worth, worthPerHour, wageAtZero, explanation }) => (
            <tr key={step.id}>
              <th scope="row">{step.title}</th>
              <td className="number">
                {format.weight(gain.grams)} of {gain.pile}
              </td>
              <td className="number">{gain.seconds} s</td>
              <td className="number">
                <OpenFigure explain={() => explanation} format={format}>
                  {format.money(worth)}
                </OpenFigure>
              </td>
              <td className="number">{worthPerHour === null ? '–' : format.money(worthPerHour)}</td>
              <td className="number">{wageAtZero === null ? '–' : format.money(wageAtZero)}</td>
              <td>
                {worth >= 0 ? (
                  <>
                    do it: it brings <strong className="kept">{format.money(worth)}</strong> each at your wage
                  </>
                ) : (
                  <>
                    leave it: it saves <strong>{format.money(-worth)}</strong> each at your wage
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p className="quiet">Grams and seconds are those that the style assumes. They can be changed in the Guide.</p>
    </section>
  )
}
