import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import type { Cook } from '@fleam/contract/kitchen/schemas'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import type { WholeForm } from '@fleam/core/buying'
import { addDays, dayIn } from '@fleam/core/calendar'
import type { PlannedFabrication } from '@fleam/core/plans'
import { isSentBack } from '@fleam/core/receiving'
import type { Item } from '@fleam/core/style'
import { Link, useSearchParams } from 'react-router-dom'
import { useFormsOfItem, useLot } from '../../../data/buying-queries.ts'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { usePlanned } from '../../../data/planning-queries.ts'
import { useCooks, useFabrications, useItems } from '../../../data/queries.ts'
import { dayWords } from '../../../parts/dates.ts'
import { NextForYou } from '../../../parts/next-for-you.tsx'
import { OpenFabrications } from '../../../parts/open-fabrications.tsx'
import { PlannedFabrications } from '../../../parts/planned-fabrications.tsx'
import { Failed, Loading } from '../../../parts/states.tsx'
import { Abandoned } from '../finish/abandon.tsx'
import { StartForm } from './start-form.tsx'

/** Planned work of so many days to come stands at the bench. */
const DAYS_AHEAD = 1

/** The bench without a fabrication: what is on the board, and starting another one. */
export function Component() {
  const [items, cooks, fabrications] = [useItems(), useCooks(), useFabrications()]
  const [search] = useSearchParams()
  const lotId = search.get('lot')
  const lot = useLot(lotId)
  const plannedId = search.get('planned')
  const planned = usePlanned()
  const toStart = planned.data?.find(({ id }) => id === plannedId) ?? null
  const forms = useFormsOfItem(toStart?.itemId ?? '')
  const failed = [items, cooks, fabrications, ...(lotId === null ? [] : [lot])].find(
    (query) => query.isError && !query.data,
  )
  if (failed) return <Failed error={failed.error} retry={() => void failed.refetch()} />
  if (!items.data || !cooks.data || !fabrications.data) return <Loading what="the bench" />
  if (lotId !== null && !lot.data) return <Loading what="the lot" />
  if (plannedId !== null && !planned.data && !planned.isError) return <Loading what="the plan" />
  if (toStart && lotId === null && !forms.data && !forms.isError) return <Loading what="what its plan buys" />
  return (
    <StartRoom
      key={`${lotId} ${plannedId}`}
      items={items.data}
      cooks={cooks.data}
      fabrications={fabrications.data}
      lot={lotId === null ? null : (lot.data ?? null)}
      planned={toStart}
      plannedForm={forms.data?.find(({ articleId }) => articleId === toStart?.articleId) ?? null}
    />
  )
}

interface StartRoomProps {
  items: Item[]
  cooks: Cook[]
  fabrications: FabricationRow[]
  /** The lot that it is cut from, where one was chosen. */
  lot: LotTrace | null
  /** What of a plan it is, where it was planned. */
  planned: PlannedFabrication | null
  /** The article that its plan buys. */
  plannedForm: WholeForm | null
}

function StartRoom({ items, cooks, fabrications, lot, planned, plannedForm }: StartRoomProps) {
  const { timeZone } = useKitchen()
  const open = fabrications.filter((fabrication) => fabrication.status === 'open')
  const abandoned = fabrications.filter((fabrication) => fabrication.status === 'abandoned')
  return (
    <div className="room">
      <h1>Bench</h1>
      {open.length > 0 ? <OpenFabrications rows={open} /> : null}
      {planned ? null : (
        <>
          <NextForYou />
          <PlannedFabrications until={addDays(dayIn(timeZone, new Date()), DAYS_AHEAD)} />
        </>
      )}
      {abandoned.length > 0 ? <Abandoned rows={abandoned} /> : null}
      <section aria-labelledby="start">
        <h2 id="start">What goes on the board?</h2>
        {planned ? (
          <p>
            Planned in <Link to={`/plan/${planned.planId}`}>{planned.plan}</Link> for {dayWords(planned.day)}:{' '}
            {planned.units} of {planned.item}, {planned.style.toLowerCase()}.
          </p>
        ) : null}
        {lot ? (
          <p>
            From lot <Link to={`/buying/lots/${lot.lot.id}`}>{lot.lot.code ?? 'without a number'}</Link>: {lot.lot.item}
            , {lot.lot.supplier}. What is left of it stands below; change it where you take less.
          </p>
        ) : null}
        {lot && isSentBack(lot.lot.standing) ? (
          <p className="refusal">It went back to the supplier: nothing is cut from it.</p>
        ) : (
          <StartForm
            items={items}
            cooks={cooks}
            latest={fabrications}
            lot={lot}
            planned={planned}
            plannedForm={plannedForm}
          />
        )}
      </section>
    </div>
  )
}
