import type { Style } from '@fleam/contract'
import { type Chosen, choicesOf, formatNumber } from '@fleam/core'

interface StyleOptionsProps {
  style: Style
  chosen: Chosen
  onChosen: (chosen: Chosen) => void
}

/** Where good cooks differ: each way with its reason, its minutes and what it does to the yield. */
export function StyleOptions({ style, chosen, onChosen }: StyleOptionsProps) {
  const made = choicesOf(style, chosen)
  if (made.length === 0) return null
  return (
    <>
      <h2>Where good cooks differ</h2>
      {made.map(({ option, question, choice }) => (
        <fieldset key={option} className="guide-option">
          <legend>{question}</legend>
          {style.options
            .find((each) => each.id === option)
            ?.choices.map((each) => (
              <label key={each.id}>
                <input
                  type="radio"
                  name={`option-${option}`}
                  checked={each.id === choice.id}
                  onChange={() => onChosen({ ...chosen, [option]: each.id })}
                />
                <span>
                  {each.name} <span className="quiet">{each.why}</span>
                  <span className="quiet">{effectOf(each.minutes, each.shares)}</span>
                </span>
              </label>
            ))}
        </fieldset>
      ))}
    </>
  )
}

const signed = (value: number, digits: number) =>
  `${value > 0 ? '+' : '\u2212'}${formatNumber(Math.abs(value), digits)}`

function effectOf(minutes: number, shares: Readonly<Record<string, number>>): string {
  const parts = [
    ...(minutes === 0 ? [] : [`${signed(minutes, 1)}\u00a0min`]),
    ...Object.entries(shares).map(([pile, share]) => `${pile} ${signed(share * 100, 1)}\u00a0%`),
  ]
  return parts.length > 0 ? ` ${parts.join(', ')}, assumed` : ''
}
