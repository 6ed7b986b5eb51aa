import type { DinnersOfPart, MealView, WholeForm } from '@fleam/core/buying'
import { explain } from '@fleam/core/explanation'
import { dateWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import buyingCss from './buying.module.css'
import css from './meal-parts.module.css'

type Pile = WholeForm['piles'][number]

interface MealPartsProps {
  form: WholeForm
  view: MealView
  dinners: readonly DinnersOfPart[]
  /** Grams of a pile on one plate; null where it makes none. */
  servingOf: (pile: Pile) => number | null
  onServing: (pile: string, serving: number | null) => void
}

/** Every part of the purchase: its servings, what one costs, and by when it is eaten. */
export const MealParts = ({ form, view, dinners, servingOf, onServing }: MealPartsProps) => (
  <SmallTable
    heads={[
      'Part',
      'Grams a serving, empty for none',
      numbers('Servings'),
      numbers('Cost a serving'),
      'Dinners fresh, one a day',
      'Dinners into the freezer',
    ]}
    responsive
  >
    {form.piles.map((pile) => (
      <tr key={pile.name}>
        <th scope="row">{pile.name}</th>
        <td>
          <div className={css.serving}>
            {pile.keeping === null ? (
              <span className="quiet">not eaten</span>
            ) : (
              <NumberField
                isLabelHidden
                key={form.id}
                label={`Grams of ${pile.name} a serving`}
                min={1}
                value={servingOf(pile)}
                onChange={(serving) => onServing(pile.name, serving)}
              />
            )}
          </div>
        </td>
        <PartCells
          view={view}
          part={view.parts.find((part) => part.pile === pile.name)}
          dinner={dinners.find((dinner) => dinner.pile === pile.name)}
        />
      </tr>
    ))}
  </SmallTable>
)

interface PartCellsProps {
  view: MealView
  part: MealView['parts'][number] | undefined
  dinner: DinnersOfPart | undefined
}

function PartCells({ view, part, dinner }: PartCellsProps) {
  const format = useFormat()
  const ofCost = (pile: string) =>
    explain(view.document, view.appraisal, { group: 'pile', pile, figure: 'costPerPortion' })
  return (
    <>
      <td className="number">
        {part?.servings ?? '–'}
        {dinner && dinner.servingsOver > 0 ? (
          <>
            <br />
            <span className={buyingCss.basis}>{dinner.servingsOver} over</span>
          </>
        ) : null}
      </td>
      <td className="number">
        {part && part.costPerServing !== null ? (
          <OpenFigure explain={() => ofCost(part.pile)} format={format}>
            {format.money(part.costPerServing)}
          </OpenFigure>
        ) : (
          '–'
        )}
      </td>
      <td>
        {part && dinner ? `${dinner.fresh}, by ${dateWords(part.eatBy)}` : '–'}
        {dinner && dinner.tooMany > 0 ? (
          <>
            <br />
            <span className="verdict-word doubt">{dinner.tooMany} more than are eaten in time</span>
          </>
        ) : null}
      </td>
      <td>{part?.frozenUntil && dinner ? `${dinner.frozen}, until ${dateWords(part.frozenUntil)}` : '–'}</td>
    </>
  )
}
