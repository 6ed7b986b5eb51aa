import { DEFERS_TO } from '@fleam/catalogue'
import type { Species } from '@fleam/core/style'
import css from '../../../parts/cautions.module.css'
import { type CautionWhere, useKitchenCautions } from '../../../parts/cautions.ts'

interface BenchCautionsProps {
  species: Species | null
  /** What lies on the board. */
  where?: CautionWhere
  /** Cautions that stand at the step already. */
  elsewhere?: readonly string[]
}

/** The cautions that belong to what lies on the board, where the hand is. */
export function BenchCautions({ species, where = {}, elsewhere = [] }: BenchCautionsProps) {
  const cautions = useKitchenCautions(where)
  if (species === null) return null
  return (
    <aside className={css.cautions} aria-label="Cautions">
      <ul>
        {cautions
          .at(species, 'board')
          .filter((caution) => !elsewhere.includes(caution.id))
          .map((caution) => (
            <li key={caution.id}>
              {caution.text}
              {caution.reason ? <span className="quiet"> Our own plan: {caution.reason}</span> : null}
            </li>
          ))}
      </ul>
      <p>{DEFERS_TO}</p>
    </aside>
  )
}
