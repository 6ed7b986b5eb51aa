import {
  type BuyingForm,
  type ChoiceForm,
  choiceForms,
  type SideBySide,
  type SideBySideRequest,
  sideOf,
  type WholeForm,
} from '@fleam/core/buying'
import { evaluate } from '@fleam/core/explanation'
import type { Item } from '@fleam/core/style'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useFormat } from '../../parts/use-format.ts'
import css from './choices-compared.module.css'
import { SideTable } from './side-table.tsx'

interface ChoicesComparedProps {
  item: Item
  /** Every style of the item at every price of it. */
  whole: readonly WholeForm[]
  terms: SideBySideRequest
}

/** The ways on which good cooks differ within one style, in money: notch or tweezers, wishbone out or in. */
export function ChoicesCompared({ item, whole, terms }: ChoicesComparedProps) {
  const withChoices = item.styles.filter(
    ({ id, isArchived, options }) => !isArchived && options.length > 0 && whole.some((form) => form.styleId === id),
  )
  const [styleId, setStyleId] = useState<string | null>(null)
  const style = withChoices.find(({ id }) => id === styleId) ?? withChoices[0]
  if (!style) return null
  // At the price that makes its plate cheapest, as above.
  const [form] = whole
    .filter((row) => row.styleId === style.id)
    .sort((a, b) => costOf(sideOf(a, terms, '')) - costOf(sideOf(b, terms, '')))
  if (!form) return null
  const choices = choiceForms(form, style)
  return (
    <section aria-labelledby="choices">
      <h2 id="choices">Choices within a style</h2>
      <Form.Group controlId="choices-style" className={css.choicesStyle}>
        <Form.Label>Cut style</Form.Label>
        <Form.Select value={style.id} onChange={(event) => setStyleId(event.target.value)}>
          {withChoices.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <p className="quiet">
        {form.article}, {form.supplier}. Minutes and yields of a choice are assumed; all else as it is usually done.
      </p>
      {style.options.map(({ id, question }) => (
        <OneQuestion
          key={id}
          question={question}
          choices={choices.filter((choice) => choice.option === id)}
          terms={terms}
        />
      ))}
    </section>
  )
}

interface OneQuestionProps {
  question: string
  choices: readonly ChoiceForm[]
  terms: SideBySideRequest
}

function OneQuestion({ question, choices, terms }: OneQuestionProps) {
  const format = useFormat(terms.currency)
  const sides = choices.flatMap(({ form }) => sideOf(form, terms, '') ?? [])
  const choiceOf = (form: BuyingForm) => choices.find((choice) => choice.form.id === form.id)
  const nameOf = (form: BuyingForm) => {
    const choice = choiceOf(form)
    return format.words(`${choice?.choice.name ?? ''}${choice?.isUsual ? ', as usual' : ''}`)
  }
  const isAlike = new Set(sides.map((side) => costOf(side).toFixed(6))).size === 1
  return (
    <>
      <h3>{format.words(question)}</h3>
      {isAlike ? (
        <p className="quiet">
          {format.words(choices.map(({ choice }) => choice.name).join(' or '))}: no difference in money is assumed.
        </p>
      ) : (
        <SideTable head="Choice" sides={sides} nameOf={nameOf} />
      )}
    </>
  )
}

function costOf(side: SideBySide | null): number {
  const figure = side?.figures.costPerPlate
  return figure ? evaluate(figure.expression) : Number.POSITIVE_INFINITY
}
