import type { Cook } from '@fleam/contract/kitchen/schemas'
import { dayIn, minutesSince, weekdayOf } from '@fleam/core/calendar'
import type { PlanDraft } from '@fleam/core/planning'
import type { ExpectedLine, Plan } from '@fleam/core/plans'
import { draftOfRest, isOnItsWay } from '@fleam/core/plans'
import { explainHoursLeft, hoursLeft } from '@fleam/core/scheduling'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate, useParams } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useCreatePlan, usePlan } from '../../../data/planning-queries.ts'
import { useCooks } from '../../../data/queries.ts'
import { dayWords } from '../../../parts/dates.ts'
import { DayField } from '../../../parts/day-field.tsx'
import { OpenFigure } from '../../../parts/figure.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import { SmallTable } from '../../../parts/small-table.tsx'
import { Failed, Loading } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from '../plan.module.css'
import { useRestChanges } from './use-rest-changes.ts'

const MAX_NAME = 120
const MINUTES_PER_HOUR = 60

/** What is otherwise than an accepted plan thought, and the way to plan what is left of it. */
export function Component() {
  const { planId = '' } = useParams()
  const plan = usePlan(planId)
  const cooks = useCooks()
  if (plan.isError && !plan.data) return <Failed error={plan.error} retry={() => void plan.refetch()} />
  if (!plan.data || !cooks.data) return <Loading what="the plan" />
  const { accepted } = plan.data
  return accepted ? <Rest plan={plan.data} accepted={accepted} cooks={cooks.data} /> : <NothingLeft plan={plan.data} />
}

const NothingLeft = ({ plan }: { plan: Plan }) => (
  <div className="room">
    <h1>{plan.name}</h1>
    <p>
      It is not accepted: <Link to={`/plan/${plan.id}`}>plan it</Link> as it is now.
    </p>
  </div>
)

type Coming = PlanDraft['coming'][number]

interface RestProps {
  plan: Plan
  accepted: NonNullable<Plan['accepted']>
  cooks: readonly Cook[]
}

function Rest({ plan, accepted, cooks }: RestProps) {
  const { timeZone } = useKitchen()
  const format = useFormat()
  const now = new Date()
  const today = dayIn(timeZone, now)
  const create = useCreatePlan()
  const navigate = useNavigate()
  const { coming, away, setComing, setAway, forget } = useRestChanges(plan.id, today)
  const lines = accepted.expected.filter(isOnItsWay)
  const say = (answer: Coming) =>
    setComing([...coming.filter(({ expectedLineId }) => expectedLineId !== answer.expectedLineId), answer])
  const draft = draftOfRest({ id: plan.id, accepted }, { today, timeZone })
  const there = cooks.filter(({ id }) => !away.includes(id))
  const left = [there, weekdayOf(today), minutesSince(today, timeZone, now)] as const
  const hours = hoursLeft(...left)
  const isToday = draft.from === today && cooks.some(({ week }) => week !== null)
  const begin = () => {
    const others = draft.hours.filter(({ day }) => day !== today)
    const restDraft: PlanDraft = {
      ...{ ...draft, coming: coming.filter(({ expectedLineId }) => lines.some(({ id }) => id === expectedLineId)) },
      ...(isToday
        ? {
            hours: [...others, { day: today, hours: hours * accepted.goods.boardShare.value }],
            away: [...draft.away.filter(({ day }) => day !== today), ...away.map((cookId) => ({ cookId, day: today }))],
          }
        : {}),
    }
    const name = `${plan.name}, from ${dayWords(draft.from)}`.slice(0, MAX_NAME)
    create.mutate(
      { id: newId(), name, draft: restDraft },
      {
        onSuccess: ({ id }) => {
          forget()
          navigate(`/plan/${id}`)
        },
      },
    )
  }
  return (
    <div className="room">
      <p>
        <Link to={`/plan/${plan.id}`}>{plan.name}</Link>
      </p>
      <div className="room-heading">
        <h1>Plan what is left</h1>
        <Button className="main-action" disabled={create.isPending} onClick={begin}>
          Plan what is left
        </Button>
      </div>
      {create.isError ? <Failed error={create.error} /> : null}
      <p className="quiet">
        From {dayWords(draft.from)} on, from what is really there: {portionsWords(draft)}. What is cut stays as it is.
        More covers or fewer are said in the next step; nothing is changed before you accept it.
      </p>
      <section aria-labelledby="rest-coming">
        <h2 id="rest-coming">Deliveries on their way</h2>
        {lines.length === 0 ? <p>Nothing is on its way any more.</p> : null}
        {lines.length > 0 ? (
          <div className="table-responsive">
            <SmallTable heads={['Ordered', 'Comes on', 'Packs', '']}>
              {lines.map((line) => (
                <ComingLine
                  key={line.id}
                  line={line}
                  answer={coming.find(({ expectedLineId }) => expectedLineId === line.id) ?? null}
                  onSay={say}
                />
              ))}
            </SmallTable>
          </div>
        ) : null}
      </section>
      {isToday ? (
        <section aria-labelledby="rest-away">
          <h2 id="rest-away">Who is away today</h2>
          <div className={css.tools}>
            {cooks.map(({ id, name }) => (
              <Form.Check
                key={id}
                id={`rest-away-${id}`}
                label={name}
                checked={away.includes(id)}
                onChange={(event) => setAway(event.target.checked ? [...away, id] : away.filter((own) => own !== id))}
              />
            ))}
          </div>
          <p className="quiet">
            <OpenFigure explain={() => explainHoursLeft(...left)} format={format}>
              {format.quantity(hours * MINUTES_PER_HOUR, 'minutes')}
            </OpenFigure>{' '}
            are left at the board today.
          </p>
        </section>
      ) : null}
    </div>
  )
}

/** How many portions are there already. */
const portionsWords = ({ stock }: PlanDraft): string => {
  const portions = Math.floor(stock.reduce((sum, { quantity }) => sum + quantity, 0))
  return portions === 0 ? 'no portions are cut yet' : `${portions} portions are cut and not served`
}

interface ComingLineProps {
  line: ExpectedLine
  /** What was said otherwise; null where it comes as ordered. */
  answer: Coming | null
  onSay: (answer: Coming) => void
}

/** One delivery that is on its way: later, less of it, or not at all. */
function ComingLine({ line, answer, onSay }: ComingLineProps) {
  const { id, supplier, name, packs, day } = line
  const now = answer ?? { expectedLineId: id, day, packs }
  return (
    <tr>
      <th scope="row">
        {packs} × {name}
        <br />
        <span className="quiet">
          {supplier}, {dayWords(day)}
        </span>
      </th>
      <td>
        {now.day === null ? null : (
          <DayField
            label={`Day on which ${name} comes`}
            isLabelHidden
            value={now.day}
            onChange={(chosen) => chosen && onSay({ ...now, day: chosen })}
          />
        )}
      </td>
      <td>
        {now.day === null ? null : (
          <NumberField
            label={`Packs of ${name} that come`}
            isLabelHidden
            value={now.packs}
            max={packs}
            onChange={(count, isValid) => {
              if (isValid && count !== null && Number.isInteger(count)) onSay({ ...now, packs: count })
            }}
          />
        )}
      </td>
      <td>
        <Form.Check
          id={`lost-${id}`}
          label="does not come"
          aria-label={`${name} of ${dayWords(day)} does not come`}
          checked={now.day === null}
          onChange={(event) => onSay({ ...now, day: event.target.checked ? null : day })}
        />
      </td>
    </tr>
  )
}
