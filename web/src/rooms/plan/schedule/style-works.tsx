import { DEFAULT_COLD_LIMITS } from '@fleam/core/fabrication'
import type { StylesWork } from '@fleam/core/plans'
import { type PlannedJob, type StyleWork, thawHours } from '@fleam/core/scheduling'
import Form from 'react-bootstrap/Form'
import { useUpdateStyleWork } from '../../../data/schedule-queries.ts'
import { FoldedPart, useOpenParts } from '../../../parts/folded.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import { Failed } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from './schedule.module.css'

const HOURS: readonly { field: Exclude<keyof StyleWork, 'isFrozen' | 'line' | 'carriers'>; label: string }[] = [
  { field: 'dryHours', label: 'Dries in the cold, hours' },
  { field: 'temperHours', label: 'Stands out of the cold, hours' },
  { field: 'setHours', label: 'Sets in the cold, hours' },
  { field: 'cureHours', label: 'Cures, hours' },
  { field: 'confitHours', label: 'In hot fat, hours' },
  { field: 'chillHours', label: 'Cools down, hours' },
  { field: 'stockHours', label: 'Bones in the pot, hours' },
]
const MOST_HOURS = 240
const MOST_COOKS = 12

/** What each style of the plan takes before and after the board, and how it is cut; kept with the style. */
export function StyleWorks({
  jobs,
  works,
  planId,
}: {
  jobs: readonly PlannedJob[]
  works: StylesWork
  planId: string
}) {
  const parts = useOpenParts('schedule')
  const update = useUpdateStyleWork(planId)
  const byStyle = [...new Map(jobs.map((job) => [job.styleId, job])).values()]
  if (byStyle.length === 0) return null
  return (
    <section aria-labelledby="style-work" className="no-print">
      <h2 id="style-work">Before and after the board</h2>
      {byStyle.map((job) => (
        <FoldedPart key={job.styleId} part={{ id: job.styleId, title: `${job.name}: ${saidOf(job)}` }} parts={parts}>
          <WorkFields
            job={job}
            isSaid={works.some(({ styleId, work }) => styleId === job.styleId && work !== null)}
            onChange={(work) => update.mutate({ styleId: job.styleId, work })}
          />
        </FoldedPart>
      ))}
      {update.isError ? <Failed error={update.error} /> : null}
      <p className="form-text">
        It is kept with the style, for every plan. Start over or reschedule what is left afterwards. Food at rest stays
        at or below 5 °C; hot food is cooled to 21 °C within two hours and to 5 °C within six. Local rules come first.
      </p>
    </section>
  )
}

/** What there is of it, in a few words. */
function saidOf({ work }: PlannedJob): string {
  const passes = [
    work.isFrozen ? 'thaws' : '',
    work.dryHours > 0 ? 'dries' : '',
    work.temperHours > 0 ? 'stands' : '',
    work.line > 1 ? `a line of ${work.line}` : 'one cook does all of a unit',
    work.setHours > 0 ? 'sets' : '',
    work.cureHours > 0 ? 'cures' : '',
    work.confitHours > 0 ? 'hot fat' : '',
    work.chillHours > 0 ? 'cools' : '',
    work.stockHours > 0 ? 'pot' : '',
  ]
  return passes.filter((pass) => pass !== '').join(', ')
}

/** What can make somebody ill, where it is said. */
function WorkCautions({ work }: { work: StyleWork }) {
  const { boardMinutes, outMinutes } = DEFAULT_COLD_LIMITS
  const isWarm = work.temperHours * 60 + boardMinutes > outMinutes
  const isNotCooled = work.confitHours > 0 && work.chillHours === 0
  return (
    <>
      {isWarm ? (
        <p className="refusal" role="alert">
          More than two hours out of the cold in all, with the board: shorter, or as your own approved plan has it.
        </p>
      ) : null}
      {isNotCooled ? (
        <p className="refusal" role="alert">
          Out of hot fat it has to be cooled before it is packed: to 21 °C within two hours, to 5 °C within six in all.
        </p>
      ) : null}
    </>
  )
}

function WorkFields({
  job,
  isSaid,
  onChange,
}: {
  job: PlannedJob
  isSaid: boolean
  onChange: (work: StyleWork) => void
}) {
  const format = useFormat()
  const { work } = job
  const thaws = `Comes frozen: thaws ${format.quantity(thawHours(job.unitGrams), 'count')} hours, a day for 2 kg`
  return (
    <div className={css.fields}>
      <Form.Check
        id={`frozen-${job.styleId}`}
        label={thaws}
        checked={work.isFrozen}
        onChange={(event) => onChange({ ...work, isFrozen: event.target.checked })}
      />
      {HOURS.map(({ field, label }) => (
        <NumberField
          key={field}
          label={label}
          value={work[field]}
          max={MOST_HOURS}
          onChange={(hours, isValid) => {
            if (isValid) onChange({ ...work, [field]: hours ?? 0 })
          }}
        />
      ))}
      <NumberField
        label="Cooks in a line, one part of the steps each"
        value={work.line}
        min={1}
        max={MOST_COOKS}
        onChange={(line, isValid) => {
          if (isValid && line !== null && Number.isInteger(line)) onChange({ ...work, line })
        }}
      />
      <NumberField
        label="Helpers who carry trays into the cold"
        value={work.carriers}
        max={MOST_COOKS}
        onChange={(carriers, isValid) => {
          if (isValid && carriers !== null && Number.isInteger(carriers)) onChange({ ...work, carriers })
        }}
      />
      {work.line > 1 ? (
        <p className="form-text">
          {`Each ${job.unitName.one} is handed on at once, so that it is out of the cold only as long as one takes. No more cooks stand there than there are boards. Where one alone takes longer than the limit, all of a load goes back into the cold between two parts.`}
        </p>
      ) : null}
      <WorkCautions work={work} />
      {isSaid ? null : <p className="form-text">Assumed: nobody has said more of this style.</p>}
    </div>
  )
}
