import type { Forecast, ForecastInput, Swing } from '@fleam/core/forecasting'
import { useAppraised } from '../../parts/appraised-context.ts'
import type { Format } from '../../parts/use-format.ts'
import css from './swing-bars.module.css'

const INPUT_WORDS: Readonly<Record<ForecastInput, string>> = {
  yield: 'yield',
  minutes: 'minutes at the board',
  credit: 'by-products really used',
  apPricePerKg: 'purchase price',
  offerAmount: 'price of the offer',
  usableShare: 'usable share of the offer',
}

function valueWords(input: ForecastInput, value: number, units: number, format: Format): string {
  switch (input) {
    case 'yield':
    case 'credit':
    case 'usableShare':
      return format.share(value)
    case 'minutes':
      return format.quantity(value / units, 'minutes')
    case 'apPricePerKg':
      return format.perWeight(value)
    case 'offerAmount':
      return format.money(value)
  }
}

/** What moves the saving most when it alone is at its low or high decile, the longest bar first. */
export function SwingBars({ forecast: { swings }, units }: { forecast: Forecast; units: number }) {
  const { format } = useAppraised()
  const amounts = [0, ...swings.flatMap((swing) => [swing.atLow, swing.atHigh])]
  const [least, most] = [Math.min(...amounts), Math.max(...amounts)]
  const percent = (amount: number) => ((amount - least) / (most - least || 1)) * 100
  const bar = ({ atLow, atHigh }: Swing) => {
    const from = percent(Math.min(atLow, atHigh))
    return { left: `${from}%`, width: `${percent(Math.max(atLow, atHigh)) - from}%` }
  }
  return (
    <table className={css.swings}>
      <caption>What moves it most: the saving when this alone is low or high</caption>
      <thead className="visually-hidden">
        <tr>
          <th scope="col">What</th>
          <th scope="col">Saving</th>
        </tr>
      </thead>
      <tbody>
        {swings.map((swing) => (
          <tr key={swing.input}>
            <th scope="row">
              {INPUT_WORDS[swing.input]}
              <br />
              <span className="quiet">
                {valueWords(swing.input, swing.lowValue, units, format)} to{' '}
                {valueWords(swing.input, swing.highValue, units, format)}
                {swing.input === 'minutes' ? ' each' : ''}
              </span>
            </th>
            <td>
              <div className={css.swingTrack}>
                <div className={css.swingZero} style={{ left: `${percent(0)}%` }} />
                <div className={css.swingBar} style={bar(swing)} />
              </div>
              <span className="number">
                {format.money(swing.atLow)} to {format.money(swing.atHigh)}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
