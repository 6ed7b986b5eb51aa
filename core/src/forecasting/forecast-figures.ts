import { type Explanation, over, value } from '../explanation/index.ts'
import { type Forecast, LOW_TAIL } from './forecast.ts'

export type ForecastFigure = 'probability' | 'mean' | 'low' | 'high'

/** What a figure of a forecast is made of: it is counted or summed over the draws. */
export function forecastFigure(forecast: Forecast, figure: ForecastFigure): Explanation {
  const { draws, probability, mean } = forecast
  const all = value('draws', draws, 'count')
  switch (figure) {
    case 'probability':
      return {
        title: 'Making is cheaper',
        quantity: 'share',
        expression: over(value('draws in which making is cheaper', Math.round(probability * draws), 'count'), all),
      }
    case 'mean':
      return {
        title: 'Mean saving',
        quantity: 'money',
        expression: over(value('savings of all draws together', mean * draws, 'money'), all),
        note: 'Each draw works the saving out anew, with every uncertain thing as it might turn out.',
      }
    case 'low':
    case 'high': {
      const share = figure === 'low' ? LOW_TAIL : 1 - LOW_TAIL
      return {
        title: figure === 'low' ? 'One draw in twenty saves less' : 'One draw in twenty saves more',
        quantity: 'money',
        expression: value(
          `saving at place ${Math.round(share * (draws - 1) + 1)} of ${draws} draws in order`,
          forecast[figure],
          'money',
        ),
      }
    }
  }
}
