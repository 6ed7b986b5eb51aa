import type { Style } from '@fleam/core/style'
import { type Chosen, choicesOf, type StyleChoice } from '@fleam/core/style'
import { type Format, useFormat } from '../../parts/use-format.ts'
import css from './style-options.module.css'

interface StyleOptionsProps {
  style: Style
  chosen: Chosen
  onChosen: (chosen: Chosen) => void
}

/** Where good cooks differ: each way with its reason, its minutes and what it does to the yield. */
export function StyleOptions({ style, chosen, onChosen }: StyleOptionsProps) {
  const choices = choicesOf(style, chosen)
  const format = useFormat()
  if (choices.length === 0) return null
  return (
    <>
      <h2>Where good cooks differ</h2>
      {choices.map(({ option, question, choice }) => (
        <fieldset key={option} className={css.guideOption}>
          <legend>{question}</legend>
          {style.options
            .find((other) => other.id === option)
            ?.choices.map((offered) => (
              <label key={offered.id}>
                <input
                  type="radio"
                  name={`option-${option}`}
                  checked={offered.id === choice.id}
                  onChange={() => onChosen({ ...chosen, [option]: offered.id })}
                />
                <span>
                  {format.words(offered.name)} <span className="quiet">{format.words(offered.why)}</span>
                  <span className="quiet">{effectOf(style, offered, format)}</span>
                </span>
              </label>
            ))}
        </fieldset>
      ))}
    </>
  )
}

/** Minutes and points of yield that a choice brings or takes, by the names that the piles have now. */
function effectOf({ piles }: Style, { minutes, shares }: StyleChoice, format: Format): string {
  const signed = (value: number, digits: number) =>
    `${value > 0 ? '+' : '\u2212'}${format.number(Math.abs(value), digits)}`
  const parts = [
    ...(minutes === 0 ? [] : [`${signed(minutes, 1)}\u00a0min`]),
    ...piles.flatMap(({ id, name }) => (shares[id] ? [`${name} ${signed(shares[id] * 100, 1)}\u00a0%`] : [])),
  ]
  return parts.length > 0 ? ` ${parts.join(', ')}, assumed` : ''
}
