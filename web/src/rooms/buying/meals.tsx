import { DEFERS_TO } from '@fleam/catalogue'
import {
  type DinnersOfPart,
  dinnersOf,
  explainMeals,
  type MealView,
  mealView,
  type WholeForm,
} from '@fleam/core/buying'
import { dayIn } from '@fleam/core/calendar'
import { explain } from '@fleam/core/explanation'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { DayField } from '../../parts/day-field.tsx'
import { OpenFigure } from '../../parts/figure.tsx'
import { firstItem, ItemChoice, WithForms } from '../../parts/item-choice.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { orderWords, quoteWords } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'
import { MealParts } from './meal-parts.tsx'

/** Grams of a part on one plate where the style does not say. */
const USUAL_SERVING = 200

const USUAL_EATERS = 4
const atLeastOne = (count: number | null) => Math.max(1, Math.floor(count ?? 1))

/** One big purchase as meals: what leaves the till today, how many servings it is, until when they are eaten. */
export function Component() {
  const items = useItems().data
  const [chosen, setChosen] = useState<string | null>(null)
  const itemId = chosen ?? firstItem(items)
  const [units, setUnits] = useState<number | null>(6)
  const [eaters, setEaters] = useState<number | null>(USUAL_EATERS)
  const { timeZone } = useKitchen()
  const [day, setDay] = useState(() => dayIn(timeZone, new Date()))
  return (
    <BuyingRoom title="One purchase, many meals">
      <div className="question">
        <ItemChoice itemId={itemId} onChoose={setChosen} />
        <NumberField label="Bought at once" value={units} onChange={setUnits} min={1} />
        <NumberField label="How many eat" value={eaters} onChange={setEaters} min={1} max={500} />
        <DayField label="Cut on" value={day} onChange={(next) => next !== null && setDay(next)} />
      </div>
      <WithForms itemId={itemId}>
        {(forms) => (
          <Meals key={itemId} forms={forms} units={atLeastOne(units)} eaters={atLeastOne(eaters)} day={day} />
        )}
      </WithForms>
    </BuyingRoom>
  )
}

interface MealsProps {
  forms: readonly WholeForm[]
  units: number
  /** How many sit at the table. */
  eaters: number
  day: string
}

function Meals({ forms, units, eaters, day }: MealsProps) {
  const { wagePerHour, currency } = useKitchen()
  const format = useFormat()
  const [formId, setFormId] = useState(forms[0]?.id ?? '')
  const [servings, setServings] = useState<Readonly<Record<string, number | null>>>({})
  const form = forms.find((form) => form.id === formId) ?? (forms[0] as WholeForm)
  const servingOf = (pile: WholeForm['piles'][number]) =>
    servings[pile.name] !== undefined
      ? (servings[pile.name] ?? null)
      : pile.class === 'primary'
        ? (pile.target ?? USUAL_SERVING)
        : null
  const uses = form.piles.flatMap((pile) =>
    pile.keeping === null ? [] : [{ pile: pile.name, serving: servingOf(pile), keeping: pile.keeping }],
  )
  const view = mealView(form, { units, wagePerHour, currency, uses, day, useBy: null })
  const dinners = view ? dinnersOf(view.parts, eaters, day) : []
  return (
    <>
      <Form.Group controlId="form">
        <Form.Label>From, cut as</Form.Label>
        <Form.Select value={form.id} onChange={(event) => setFormId(event.target.value)} style={{ maxWidth: '40rem' }}>
          {forms.map((form) => (
            <option key={form.id} value={form.id}>
              {form.article}, {form.supplier}, {quoteWords(form.quote, format)}: {form.style}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {view ? (
        <MealSentence view={view} eaters={eaters} dinners={dinners} />
      ) : (
        <p>Nobody says how much a piece or a pack of it weighs.</p>
      )}
      {view ? (
        <MealParts
          form={form}
          view={view}
          dinners={dinners}
          servingOf={servingOf}
          onServing={(pile, serving) => setServings({ ...servings, [pile]: serving })}
        />
      ) : null}
      <p className="quiet">
        Frozen, it is good that long; chilled at or below {format.words('5 °C (41 °F)')}. {DEFERS_TO}
      </p>
    </>
  )
}

interface MealSentenceProps {
  view: MealView
  eaters: number
  dinners: readonly DinnersOfPart[]
}

const sumOf = (dinners: readonly DinnersOfPart[], of: 'fresh' | 'frozen') =>
  dinners.reduce((sum, dinner) => sum + dinner[of], 0)

function MealSentence({ view, eaters, dinners }: MealSentenceProps) {
  const format = useFormat()
  const figure = (name: Parameters<typeof explainMeals>[2], text: string) => (
    <OpenFigure explain={() => explainMeals(view, dinners, name)} format={format}>
      {text}
    </OpenFigure>
  )
  const [fresh, frozen] = [sumOf(dinners, 'fresh'), sumOf(dinners, 'frozen')]
  return (
    <p className="answer">
      <strong>
        <OpenFigure
          explain={() => explain(view.document, view.appraisal, { group: 'cost', figure: 'ap' })}
          format={format}
        >
          {format.money(view.outlay)}
        </OpenFigure>
      </strong>{' '}
      leaves the till today for {orderWords(view.order, format)}
      {view.order.isRaised ? ', more than was wanted' : ''}:{' '}
      <strong>{figure('servings', String(view.servings))} servings</strong>
      {view.costPerServing === null ? (
        ''
      ) : (
        <>
          {' '}
          at <strong>{figure('costPerServing', format.money(view.costPerServing))}</strong> each, work in, less the
          by-product credit
        </>
      )}
      . For {eaters} that is{' '}
      <strong>
        {figure('dinners', String(fresh + frozen))} {fresh + frozen === 1 ? 'dinner' : 'dinners'}
      </strong>
      : {fresh} fresh, {frozen} from the freezer.
    </p>
  )
}
