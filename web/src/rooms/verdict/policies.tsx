import { leadingComparison } from '@fleam/core/comparison'
import { CREDIT_POLICIES, type CreditPolicy } from '@fleam/core/fabrication'
import { POLICY_WORDS, VERDICT_WORDS } from '@fleam/core/wording'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import css from './policies.module.css'

/** The verdict under all four ways of valuing by-products: one sees when it hangs on trim being used. */
export function Policies() {
  const { document, appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  if (at === null || !comparison) return null
  return (
    <section aria-labelledby="policies">
      <h2 id="policies">If by-products count …</h2>
      <ul className={css.policies}>
        {CREDIT_POLICIES.map((policy: CreditPolicy) => {
          const under = comparison.byPolicy[policy]
          return (
            <li key={policy} className={policy === document.creditPolicy ? css.chosen : ''}>
              <h3>{POLICY_WORDS[policy].name}</h3>
              <p>{POLICY_WORDS[policy].means}</p>
              <p className={css.policyAmount}>
                <MaybeFigure of={{ group: 'policy', at, policy }} value={under.costPerPortion} word={format.money} />{' '}
                <span className={`verdict-word ${under.verdict ?? 'none'}`}>
                  {VERDICT_WORDS[under.verdict ?? 'none']}
                </span>
              </p>
              {policy === document.creditPolicy ? <p className={css.policyChosen}>chosen</p> : null}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
