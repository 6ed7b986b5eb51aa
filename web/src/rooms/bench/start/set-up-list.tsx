import type { Item, Style } from '@fleam/core/style'
import { settleStyle, setUpList } from '@fleam/core/style'
import { TOOL_WORDS } from '@fleam/core/wording'
import { MoreFields } from '../../../parts/form-fields.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { StartFields } from './start-fields.ts'

/** What to lay out before the first cut, for as many as are cut. */
export function SetUpList({ said: fields, item, style }: { said: StartFields; item: Item; style: Style }) {
  const format = useFormat()
  const { units } = fields
  if (typeof units !== 'number' || !(units >= 1)) return null
  const { steps, piles } = settleStyle(style, fields.chosen)
  const invoiced = typeof fields.invoiceWeight === 'number' ? fields.invoiceWeight : units * item.unitWeight.usual
  const list = setUpList({ steps, piles, consumables: style.consumables, units, grams: invoiced })
  return (
    <MoreFields title="Set-up list">
      <ul className="set-up-list">
        <li>Clean board on a damp cloth, hand wash within reach, scale with its empty container tared.</li>
        <li>{[...new Set([...list.tools, 'scale' as const])].map((tool) => TOOL_WORDS[tool]).join(', ')}</li>
        {list.piles.map(({ name, grams, pieces }) => (
          <li key={name}>
            Container for {name}
            <span className="quiet">
              {grams === null ? '' : `, about ${format.weight(grams)}`}
              {pieces === null ? '' : `, ${format.quantity(pieces, 'count')} pieces`}
            </span>
          </li>
        ))}
        {list.consumables.map((name) => (
          <li key={name}>{name}</li>
        ))}
      </ul>
    </MoreFields>
  )
}
