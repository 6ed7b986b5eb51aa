import { useAppraised } from '../../parts/appraised-context.ts'
import { Figure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import css from './piles-table.module.css'

/** Weights and shares of a record, while money says nothing. */
export function Yields() {
  const { appraisal, format } = useAppraised()
  return (
    <section aria-labelledby="yields">
      <h2 id="yields">Yields</h2>
      <SmallTable heads={['Pile', numbers('Weight'), numbers('Share')]} className={css.piles}>
        {appraisal.piles.map(({ name, weight, share }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="number">
              <Figure of={{ group: 'pile', pile: name, figure: 'weight' }}>{format.weight(weight)}</Figure>
            </td>
            <td className="number">
              <Figure of={{ group: 'pile', pile: name, figure: 'share' }}>{format.share(share)}</Figure>
            </td>
          </tr>
        ))}
      </SmallTable>
      <p>
        Portion yield{' '}
        <Figure of={{ group: 'weights', figure: 'portionYield' }}>
          {format.share(appraisal.weights.portionYield)}
        </Figure>
        , not accounted for{' '}
        <Figure of={{ group: 'weights', figure: 'unaccounted' }}>{format.weight(appraisal.weights.unaccounted)}</Figure>
        .
      </p>
    </section>
  )
}
