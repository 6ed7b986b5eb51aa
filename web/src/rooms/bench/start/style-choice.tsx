import type { Item, Style } from '@fleam/core/style'
import { type Chosen, choicesOf } from '@fleam/core/style'
import type { Rhythm } from '@fleam/core/weighing'
import Form from 'react-bootstrap/Form'
import { SearchChoice } from '../../../parts/search-choice.tsx'
import { useFormat } from '../../../parts/use-format.ts'

interface StyleChoiceProps {
  items: readonly Item[]
  item: Item
  style: Style
  chosen: Chosen
  /** Several units: bird by bird, or one step for all. */
  units: number | null
  rhythm: Rhythm
  onStyle: (styleId: string) => void
  onChosen: (chosen: Chosen) => void
  onRhythm: (rhythm: Rhythm) => void
}

/** What lies on the board and how it is cut: item, style, and the questions on which good cooks differ. */
export function StyleChoice(props: StyleChoiceProps) {
  const { items, item, style, chosen, units, rhythm, onStyle, onChosen, onRhythm } = props
  const { words } = useFormat()
  const choices = choicesOf(style, chosen)
  const styles = item.styles.filter((other) => !other.isArchived || other.id === style.id)
  return (
    <>
      <SearchChoice
        label="On the board"
        inputId="start-item"
        choices={items}
        value={item.id}
        onChoose={(id) => {
          const next = items.find((item) => item.id === id)
          const first = next?.styles.find((style) => !style.isArchived)
          if (first) onStyle(first.id)
        }}
      />
      <Form.Group controlId="start-style">
        <Form.Label>Cut style</Form.Label>
        <Form.Select value={style.id} onChange={(event) => onStyle(event.target.value)}>
          {styles.map((style) => (
            <option key={style.id} value={style.id}>
              {style.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {choices.map(({ option, question, choice }) => (
        <Form.Group key={option} controlId={`choice-${option}`}>
          <Form.Label>{words(question)}</Form.Label>
          <Form.Select value={choice.id} onChange={(event) => onChosen({ ...chosen, [option]: event.target.value })}>
            {style.options
              .find((other) => other.id === option)
              ?.choices.map((choice) => (
                <option key={choice.id} value={choice.id}>
                  {words(choice.name)}
                </option>
              ))}
          </Form.Select>
          <Form.Text>{words(choice.why)}</Form.Text>
        </Form.Group>
      ))}
      <Form.Group controlId="start-rhythm">
        <Form.Label>Order of the batch</Form.Label>
        <Form.Select
          value={rhythm}
          disabled={(units ?? 1) <= 1}
          onChange={(event) => onRhythm(event.target.value as Rhythm)}
        >
          <option value="unit">
            {item.unitName.one} by {item.unitName.one}
          </option>
          <option value="step">one step for all {item.unitName.many}</option>
        </Form.Select>
      </Form.Group>
    </>
  )
}
