import {
  explainBill,
  explainPlanCost,
  explainPlanTotal,
  explainSaved,
  type OrderPlan,
  PLAN_AIMS,
  type PlanAim,
  type PlanLines,
  type PlanTotals,
  planLines,
  planTotals,
} from '@fleam/core/planning'
import { limitWords, planWords, provenWords, surenessWords, uncutWords } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import css from './plan.module.css'
import type { Made, PlanRun } from './use-plan-run.ts'
import { SECONDS } from './use-seconds.ts'

interface AnswerProps {
  run: PlanRun
  /** The plan that is shown: for one of the aims. */
  shown: OrderPlan | null
  aim: PlanAim
  onAim: (aim: PlanAim) => void
  seconds: number
  onSeconds: (seconds: number) => void
}

/** First a sentence; then what else could be done, and how sure it is. */
export function Answer({ run, shown, aim, onAim, seconds, onSeconds }: AnswerProps) {
  const { answered: made, state, failure } = run
  return (
    <section aria-label="Answer" className={made && !run.isCurrent ? css.stale : ''}>
      {made && shown ? <Sentence made={made} shown={shown} aim={aim} /> : null}
      {made ? <Better run={run} made={made} /> : null}
      {state === 'waiting' && !made ? (
        <p className="quiet">Say below who eats what: then it is told what to buy and what to cut.</p>
      ) : null}
      {state === 'failed' ? (
        <p className="refusal" role="alert">
          The plan could not be made: {failure}
        </p>
      ) : null}
      <Running run={run} seconds={seconds} onSeconds={onSeconds} />
      {made && made.plan.status !== 'refused' ? <Aims made={made} aim={aim} onAim={onAim} /> : null}
    </section>
  )
}

/** A better plan was found while this one was read: it is offered, not put in its place. */
function Better({ run, made }: { run: PlanRun; made: Made }) {
  const format = useFormat()
  if (!run.better) return null
  const { plan: to, by } = run.better
  const [was, is] = [made.plan.cost.total, to.cost.total]
  const cost = (plan: OrderPlan) => (
    <OpenFigure explain={() => explainPlanCost(plan, made.asked, 'total')} format={format}>
      {format.money(plan.cost.total)}
    </OpenFigure>
  )
  const short = (plan: OrderPlan) => (
    <OpenFigure explain={() => explainPlanTotal(plan, 'short', made)} format={format}>
      {format.quantity(planTotals(plan, made.goods, made.draft).short, 'count')}
    </OpenFigure>
  )
  return (
    <p role="status" className={css.better}>
      {by === 'less-short' ? (
        <>
          A plan that leaves less short was found: {short(to)} instead of {short(made.plan)}, for {cost(to)} instead of{' '}
          {cost(made.plan)}
        </>
      ) : (
        <>
          A cheaper plan was found: {cost(to)} instead of {cost(made.plan)},{' '}
          <OpenFigure explain={() => explainSaved('the plan that is shown', was, to)} format={format}>
            {format.money(was - is)}
          </OpenFigure>{' '}
          less
        </>
      )}
      , {surenessWords(to, format)}.{' '}
      <Button size="sm" onClick={run.takeBetter}>
        Show it
      </Button>
    </p>
  )
}

function Sentence({ made, shown, aim }: { made: Made; shown: OrderPlan; aim: PlanAim }) {
  const format = useFormat()
  if (shown.status === 'refused') {
    return (
      <p className={css.sentence} role="status">
        No plan keeps to all of this: what is pinned, or what stands in the cold already, asks for more than there is.
      </p>
    )
  }
  const lines = planLines(shown, made.goods, made.draft)
  const ready = made.plan.beside.allReady
  const less = ready === null ? null : ready - shown.cost.total
  const money = (
    <OpenFigure explain={() => explainPlanCost(shown, made.asked, 'total')} format={format}>
      {format.money(shown.cost.total)}
    </OpenFigure>
  )
  const short = lines.short.map(
    ({ product, quantity, day }) => `${format.quantity(quantity, 'count')} of ${product} on ${dayWords(day)}`,
  )
  return (
    <>
      <p className={css.sentence}>
        {planWords(lines, format, dayWords)}: {money}
        {less === null || ready === null ? (
          '. '
        ) : (
          <>
            ,{' '}
            <OpenFigure explain={() => explainSaved('all bought ready', ready, shown)} format={format}>
              {format.money(Math.abs(less))}
            </OpenFigure>{' '}
            {less >= 0 ? 'less' : 'more'} than buying all of it ready.{' '}
          </>
        )}
        {uncutWords(lines, format)}
      </p>
      {short.length > 0 ? <p className={css.short}>Short: {short.join(', ')}.</p> : null}
      <p className="quiet">
        {provenWords(shown, format, { aim, seconds: made.seconds })} <Bill lines={lines} />
      </p>
    </>
  )
}

/** What the orders come to, beside what the plan costs. */
export function Bill({ lines: { orders } }: { lines: PlanLines }) {
  const format = useFormat()
  if (orders.length === 0) return null
  return (
    <>
      Orders in all:{' '}
      <OpenFigure explain={() => explainBill(orders)} format={format}>
        {format.money(orders.reduce((sum, { money }) => sum + money, 0))}
      </OpenFigure>
      .
    </>
  )
}

/** How far the solver is, what it may take, and the way to stop it. */
function Running({ run, seconds, onSeconds }: { run: PlanRun; seconds: number; onSeconds: (seconds: number) => void }) {
  const format = useFormat()
  const { state, progress } = run
  const isRunning = state === 'running' || state === 'beside' || state === 'further'
  const before = run.answered && !run.isCurrent ? 'What stands here answers what was asked before. ' : ''
  const isBounded = progress && Number.isFinite(progress.best) && Number.isFinite(progress.bound)
  return (
    <div className={`${css.running} no-print`}>
      <span role="status">
        {before}
        {state === 'running'
          ? isBounded
            ? `Best so far ${format.money(progress.best)}, not below ${format.money(progress.bound)}: ${format.share(Math.min(1, progress.gap))} between.`
            : 'Making the plan …'
          : state === 'beside'
            ? 'Trying what else could be done …'
            : state === 'further'
              ? 'Looking for a cheaper one while you read …'
              : state === 'stopped'
                ? 'Stopped.'
                : ''}
      </span>
      {isRunning ? (
        <Button size="sm" variant="outline-dark" onClick={run.stop}>
          Stop
        </Button>
      ) : null}
      {state === 'stopped' || state === 'failed' ? (
        <Button size="sm" variant="outline-dark" onClick={run.again}>
          Make it again
        </Button>
      ) : null}
      <Form.Group controlId="plan-seconds" className={css.seconds}>
        <Form.Label>Look for at most</Form.Label>
        <Form.Select value={seconds} onChange={(event) => onSeconds(Number(event.target.value))}>
          {SECONDS.map((second) => (
            <option key={second} value={second}>
              {second} s
            </option>
          ))}
        </Form.Select>
      </Form.Group>
    </div>
  )
}

const AIM_WORDS: Readonly<Record<PlanAim, string>> = {
  cost: 'Cheapest',
  labour: 'Least labour',
  waste: 'Least waste',
  ready: 'All bought ready',
}

const TOTAL_WORDS: Readonly<Record<keyof PlanTotals, (amount: number, format: Format) => string>> = {
  minutes: (amount, format) => format.quantity(amount, 'minutes'),
  thrownKilos: (kilos, format) => format.weight(kilos * 1000),
  short: (amount, format) => format.quantity(amount, 'count'),
}

/** The same demand met otherwise, side by side; a touch shows one of them below. */
function Aims({ made, aim, onAim }: { made: Made; aim: PlanAim; onAim: (aim: PlanAim) => void }) {
  const format = useFormat()
  return (
    <div className="table-responsive no-print">
      <SmallTable
        heads={['Plan', numbers('Cost'), numbers('Labour'), numbers('Thrown away'), numbers('Portions short')]}
        className={`list-table ${css.aims}`}
      >
        {PLAN_AIMS.map((planAim) => {
          const plan = planAim === 'cost' ? made.plan : made.aims[planAim]
          const totals = plan && planTotals(plan, made.goods, made.draft)
          return (
            <tr key={planAim} aria-current={planAim === aim ? 'true' : undefined}>
              <th scope="row">
                {plan && plan.status !== 'refused' ? (
                  <Form.Check
                    type="radio"
                    name="aim"
                    id={`aim-${planAim}`}
                    label={AIM_WORDS[planAim]}
                    checked={planAim === aim}
                    onChange={() => onAim(planAim)}
                  />
                ) : (
                  AIM_WORDS[planAim]
                )}
              </th>
              {plan && totals && plan.status !== 'refused' ? (
                <>
                  <td className="number">
                    <OpenFigure explain={() => explainPlanCost(plan, made.asked, 'total')} format={format}>
                      {format.money(plan.cost.total)}
                    </OpenFigure>
                  </td>
                  {(['minutes', 'thrownKilos', 'short'] as const).map((total) => (
                    <td key={total} className="number">
                      <OpenFigure explain={() => explainPlanTotal(plan, total, made)} format={format}>
                        {TOTAL_WORDS[total](totals[total], format)}
                      </OpenFigure>
                    </td>
                  ))}
                </>
              ) : (
                <td colSpan={4} className="quiet number">
                  {plan === undefined ? '…' : 'cannot be done'}
                </td>
              )}
            </tr>
          )
        })}
      </SmallTable>
    </div>
  )
}

/** Limits that are used up, and what more of each would bring. */
export function Limits({ plan, isWhole }: { plan: OrderPlan; isWhole: boolean }) {
  const format = useFormat()
  return (
    <section aria-labelledby="plan-limits" className="no-print">
      <h2 id="plan-limits">What holds it back</h2>
      {plan.limits.length === 0 ? (
        <p className="quiet">
          {isWhole ? 'Nothing that could be tried in the time would save anything.' : 'Being tried …'}
        </p>
      ) : (
        <ul>
          {plan.limits.map((limit) => (
            <li key={`${limit.limit} ${limit.name} ${limit.day}`}>{limitWords(limit, format, dayWords)}</li>
          ))}
        </ul>
      )}
    </section>
  )
}
