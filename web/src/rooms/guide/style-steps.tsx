import { DEFERS_TO } from '@fleam/catalogue'
import type { CutPile, StyleStep } from '@fleam/core/style'
import cautionsCss from '../../parts/cautions.module.css'
import { type CautionWhere, useKitchenCautions } from '../../parts/cautions.ts'
import { pileNames } from '../../parts/pile-names.ts'
import { useFormat } from '../../parts/use-format.ts'
import css from './style-steps.module.css'

interface StyleStepsProps {
  steps: readonly StyleStep[]
  piles: readonly CutPile[]
  at: number
  onStep: (at: number) => void
  /** The style that they are of. */
  where: CautionWhere
}

/** The steps in their order; the one that is open shows on the drawing. */
export function StyleSteps({ steps, piles, at, onStep, where }: StyleStepsProps) {
  const cautions = useKitchenCautions(where)
  const { words } = useFormat()
  if (steps.length === 0) return <p>This style has no steps yet. Change it to write them.</p>
  return (
    <section aria-label="Steps">
      <h2>Steps</h2>
      <ol className={css.guideSteps}>
        {steps.map((step, place) => (
          <li key={step.id}>
            <button type="button" aria-expanded={place === at} onClick={() => onStep(place)}>
              {place + 1}. {words(step.title)}
              <span className="quiet">
                {step.isOptional ? 'optional ' : ''}
                {pileNames({ piles }, step).join(', ')}
              </span>
            </button>
            {place === at ? (
              <div>
                <p>{words(step.doing)}</p>
                <p>
                  <strong>Done when:</strong> {words(step.check)}
                </p>
                {step.mistakes.length > 0 ? (
                  <p>
                    <strong>Avoid:</strong> {words(step.mistakes.join('; '))}.
                  </p>
                ) : null}
                <ul className={cautionsCss.cautionNotes}>
                  {cautions.byIds(step.cautions, step.id).map((caution) => (
                    <li key={caution.id}>{caution.text}</li>
                  ))}
                </ul>
              </div>
            ) : null}
          </li>
        ))}
      </ol>
      <p className="quiet">{DEFERS_TO}</p>
    </section>
  )
}
