import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { measuredStep, stepWorth } from '@fleam/core/style'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useEvidence } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'

const SECONDS_PER_MINUTE = 60

type Worth = ReturnType<typeof useStepWorths>[number]

/** What each optional step gains and takes, at this record's wage: measured where the kitchen can, else assumed. */
function useStepWorths(record: FabricationRecord) {
  const kitchen = useKitchen()
  const evidence = useEvidence(record.id).data
  const wagePerHour = record.labour[0]?.ratePerHour ?? kitchen.wagePerHour
  return record.steps.flatMap((step) => {
    const pile = record.piles.find((pile) => pile.id === step.gain?.pileId)
    const valuePerKg = pile?.valuePerKg ?? null
    if (!step.isOptional || !step.gain || !pile || valuePerKg === null) return []
    const tests = (evidence?.tests ?? []).flatMap((test) =>
      test.stepsDone === null || test.minutesPerUnit === null
        ? []
        : {
            isDone: test.stepsDone.includes(step.id),
            grams: (test.shares[pile.id] ?? 0) * test.unitWeight,
            seconds: test.minutesPerUnit * SECONDS_PER_MINUTE,
          },
    )
    const measured = measuredStep(tests, { valuePerKg, wagePerHour })
    // What the kitchen has measured speaks before what the style assumes.
    const gain = measured
      ? { ...step.gain, grams: measured.grams.difference, seconds: measured.seconds.difference }
      : step.gain
    return [{ step, pile, gain, measured, ...stepWorth({ ...gain, valuePerKg, wagePerHour }) }]
  })
}

/** Is each optional step worth its time? Grams gained against seconds. */
export function StepWorths({ record }: { record: FabricationRecord }) {
  const rows = useStepWorths(record)
  if (rows.length === 0) return null
  return (
    <section aria-labelledby="step-worths">
      <h2 id="step-worths">Is the step worth it</h2>
      <SmallTable
        heads={[
          'Optional step',
          numbers('Gains'),
          numbers('Takes'),
          numbers('Worth, each'),
          numbers('An hour of it'),
          numbers('Even at a wage of'),
          'So',
        ]}
        responsive
      >
        {rows.map((row) => (
          <WorthRow key={row.step.id} row={row} />
        ))}
      </SmallTable>
      <p className="quiet">
        Assumed weights and seconds are those of the style; they can be changed in the Guide. Two finished records with
        a step said done and two without it measure it.
      </p>
    </section>
  )
}

function WorthRow({ row }: { row: Worth }) {
  const { format } = useAppraised()
  const { step, pile, gain, measured, worth, worthPerHour, wageAtZero, explanation } = row
  return (
    <tr>
      <th scope="row">
        {step.title}
        <br />
        <span className="quiet">
          {measured ? `measured: ${measured.tests.with} records with it, ${measured.tests.without} without` : 'assumed'}
        </span>
      </th>
      <td className="number">
        {format.weight(gain.grams)} of {pile.name}
      </td>
      <td className="number">{format.number(gain.seconds, 0)} s</td>
      <td className="number">
        <OpenFigure explain={() => explanation} format={format}>
          {format.money(worth)}
        </OpenFigure>
      </td>
      <td className="number">{worthPerHour === null ? '–' : format.money(worthPerHour)}</td>
      <td className="number">{wageAtZero === null ? '–' : format.money(wageAtZero)}</td>
      <td>
        <WhatToDo row={row} />
      </td>
    </tr>
  )
}

function WhatToDo({ row: { measured, worth } }: { row: Worth }) {
  const { format } = useAppraised()
  if (measured && Math.abs(worth) < measured.worth.halfWidth) {
    return (
      <>
        cannot be told: it lies between {format.money(worth - measured.worth.halfWidth)} and{' '}
        {format.money(worth + measured.worth.halfWidth)} each
      </>
    )
  }
  return worth >= 0 ? (
    <>
      do it: it brings <strong className="kept">{format.money(worth)}</strong> each at your wage
    </>
  ) : (
    <>
      leave it: it saves <strong>{format.money(-worth)}</strong> each at your wage
    </>
  )
}
