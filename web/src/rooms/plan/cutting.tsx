import { explainCutMinutes } from '@fleam/core/planning'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable, unseen } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { LeftOut } from './left-out.tsx'
import { PinChoice } from './pin-choice.tsx'
import type { PartProps } from './plan-parts.ts'

/** What is cut on which day, how long that takes, and whom it serves. */
export function Cutting({ lines, basis, plan, pinning }: PartProps) {
  const format = useFormat()
  const { request } = basis.asked
  const productOf = (id: string) => basis.goods.products.find((product) => product.id === id)?.name ?? ''
  const days = [...new Set(lines.cutting.map(({ day }) => day))].sort()
  return (
    <section aria-labelledby="plan-cutting">
      <h2 id="plan-cutting">At the board</h2>
      {lines.cutting.length === 0 ? <p className="quiet">Nothing is cut.</p> : null}
      <LeftOut pinning={pinning} kinds={['cut']} goods={basis.goods} />
      {days.map((day) => {
        const tasks = lines.cutting.filter((task) => task.day === day)
        const minutes = tasks.reduce((sum, row) => sum + row.minutes, 0)
        const hours = request.labour.hours[request.days.indexOf(day)] ?? 0
        return (
          <div key={day} className="table-responsive">
            <h3>
              {dayWords(day)}: {format.quantity(minutes, 'minutes')} of {format.quantity(hours * 60, 'minutes')}
            </h3>
            <SmallTable
              heads={[numbers('How many'), 'What', 'For', 'From', numbers('Minutes'), unseen('What can be done')]}
            >
              {tasks.map((line) => {
                const cut = request.cuts.find(({ name }) => name === line.name)
                const total = plan.cutting
                  .filter((task) => task.cut === line.name)
                  .reduce((sum, task) => sum + task.units, 0)
                return (
                  <tr key={line.cutId}>
                    <td className="number">
                      {line.units} {line.units === 1 ? line.unitName.one : line.unitName.many}
                    </td>
                    <th scope="row">{line.name}</th>
                    <td>
                      {line.serves
                        .map(
                          ({ productId, quantity }) => `${format.quantity(quantity, 'count')} ${productOf(productId)}`,
                        )
                        .join(', ')}
                    </td>
                    <td>
                      {[
                        ...line.coming.map((delivery) => `ordered already for ${dayWords(delivery.day)}`),
                        ...line.deliveries.map((delivery) => `delivery of ${dayWords(delivery.day)}`),
                        ...(line.lots.length > 0 ? ['the cold'] : []),
                      ].join(', ')}
                    </td>
                    <td className="number">
                      <OpenFigure format={format} explain={() => (cut ? explainCutMinutes(line, cut) : null)}>
                        {format.quantity(line.minutes, 'minutes')}
                      </OpenFigure>
                    </td>
                    <td className="no-print">
                      <PinChoice
                        {...{
                          pinning,
                          day,
                          kind: 'cut',
                          id: line.cutId,
                          name: line.name,
                          amount: total,
                          unit: line.unitName.many,
                        }}
                      />
                    </td>
                  </tr>
                )
              })}
            </SmallTable>
          </div>
        )
      })}
    </section>
  )
}
