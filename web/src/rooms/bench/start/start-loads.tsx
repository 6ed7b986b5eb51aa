import type { Item, Style } from '@fleam/core/style'
import { settleStyle } from '@fleam/core/style'
import { batchLoads, explainLoads } from '@fleam/core/weighing'
import { useKitchenCautions } from '../../../parts/cautions.ts'
import { OpenFigure } from '../../../parts/figure.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { StartFields } from './start-fields.ts'

/** Before it starts: how much of a batch to take out of the fridge at once. */
export function StartLoads({ said: fields, item, style }: { said: StartFields; item: Item; style: Style }) {
  const { coldLimits } = useKitchenCautions({ itemId: item.id, styleId: style.id })
  const format = useFormat()
  const { units } = fields
  if (typeof units !== 'number' || !(units >= 1)) return null
  const { minutesPerUnit } = settleStyle(style, fields.chosen)
  const { boardMinutes } = coldLimits
  const input = { units, minutesPerUnit, cooks: 1, boardMinutes }
  const { perLoad, loads, minutes } = batchLoads(input)
  if (loads === 1) return null
  const { one, many } = item.unitName
  return (
    <p className="wide quiet">
      {units} {many} are about{' '}
      <OpenFigure explain={() => explainLoads(input, 'minutes')} format={format}>
        {format.quantity(minutes, 'minutes')}
      </OpenFigure>{' '}
      of one cook. Take{' '}
      <OpenFigure explain={() => explainLoads(input, 'perLoad')} format={format}>
        {String(perLoad)}
      </OpenFigure>{' '}
      {perLoad === 1 ? one : many} out of the fridge at a time, {loads} loads, so that each is back within{' '}
      {boardMinutes} minutes.
    </p>
  )
}
