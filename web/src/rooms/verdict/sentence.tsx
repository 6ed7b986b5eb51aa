import type { Species } from '@fleam/catalogue'
import { type Comparison, leadingComparison } from '@fleam/core'
import { useAppraised } from '../../parts/appraised-context.ts'
import { Figure, MaybeFigure } from '../../parts/figure.tsx'

const WHOLE_WORDS: Readonly<Record<Species, string>> = { poultry: 'bird', fish: 'fish', 'red-meat': 'whole piece' }

/** The answer first: one sentence with two amounts, and what turns it. */
export function Sentence({ species }: { species: Species | null }) {
  const { appraisal } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  if (at === null || !comparison) return <CostAlone />
  const whole = species === null ? 'purchase' : WHOLE_WORDS[species]
  return (
    <h1 className="sentence">
      <Amounts at={at} comparison={comparison} /> <Answer at={at} comparison={comparison} whole={whole} />
    </h1>
  )
}

interface PartProps {
  at: number
  comparison: Comparison
}

function Amounts({ at, comparison }: PartProps) {
  const { format } = useAppraised()
  return (
    <>
      Making {comparison.pile} costs{' '}
      <MaybeFigure
        of={{ group: 'pile', pile: comparison.pile, figure: 'costPerPortion' }}
        value={comparison.costPerPortion}
        word={format.money}
      />{' '}
      a portion, buying them ready{' '}
      <MaybeFigure
        of={{ group: 'comparison', at, figure: 'buyPerPortionSameWeight' }}
        value={comparison.buyPerPortionSameWeight}
        word={format.money}
      />
      :
    </>
  )
}

function Answer({ at, comparison, whole }: PartProps & { whole: string }) {
  const { format } = useAppraised()
  const { verdict, saving } = comparison
  if (verdict === null || saving === null) return <strong>no verdict yet.</strong>
  const amount = (
    <Figure of={{ group: 'comparison', at, figure: 'saving' }} className={verdict === 'make' ? 'kept' : ''}>
      {format.money(Math.abs(saving))}
    </Figure>
  )
  const turn = comparison.breakEven.apPricePerKg
  const turns =
    turn === null ? (
      `No price of the ${whole} turns it.`
    ) : (
      <>
        It turns if the {whole} goes {saving > 0 ? 'above' : 'below'}{' '}
        <Figure of={{ group: 'comparison', at, figure: 'apPricePerKg' }}>{format.perWeight(turn)}</Figure>.
      </>
    )
  if (verdict === 'even')
    return (
      <>
        <strong>even</strong>, with {amount} between them. {turns}
      </>
    )
  if (verdict === 'make')
    return (
      <>
        <strong>make</strong>, and you keep {amount} on each plate. {turns}
      </>
    )
  return (
    <>
      <strong>buy</strong>, and you save {amount} on each plate. {turns}
    </>
  )
}

/** Without an offer there is a cost, but nothing to compare it with. */
function CostAlone() {
  const { appraisal, format } = useAppraised()
  const pile = appraisal.piles.find((each) => each.class === 'primary')
  if (!pile) return null
  return (
    <h1 className="sentence">
      Making {pile.name} costs{' '}
      <MaybeFigure
        of={{ group: 'pile', pile: pile.name, figure: 'costPerPortion' }}
        value={pile.costPerPortion}
        word={format.money}
      />{' '}
      a portion. Add an offer below, and Fleam says whether buying them ready would be cheaper.
    </h1>
  )
}
