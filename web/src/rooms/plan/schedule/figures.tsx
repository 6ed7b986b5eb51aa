import {
  explainSchedule,
  type PlacedTask,
  SCHEDULE_FIGURES,
  type ScheduleFigure,
  type ScheduleRequest,
  scheduleMinutes,
} from '@fleam/core/scheduling'
import { OpenFigure } from '../../../parts/figure.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from './schedule.module.css'

interface FigureOfScheduleProps {
  request: ScheduleRequest
  placed: readonly PlacedTask[]
  figure: ScheduleFigure
  nameOf: (id: string) => string
}

/** Minutes of one figure of placed tasks, which open to the tasks that add to it. */
export function FigureOfSchedule({ request, placed, figure, nameOf }: FigureOfScheduleProps) {
  const format = useFormat()
  const minutes = format.quantity(scheduleMinutes(request, placed, figure), 'minutes')
  return (
    <OpenFigure explain={() => explainSchedule(request, placed, { figure, nameOf })} format={format}>
      {minutes}
    </OpenFigure>
  )
}

export const FIGURE_WORDS: Readonly<Record<ScheduleFigure, string>> = {
  late: 'Late',
  clean: 'Cleaning down',
  hold: 'Waiting',
}

interface ScheduleFiguresProps extends Omit<FigureOfScheduleProps, 'figure'> {
  /** Where tasks end at the soonest: late counts what should have begun. */
  soonest: readonly PlacedTask[]
}

/** How late, how much cleaning and how long food waits in what stands. */
export const ScheduleFigures = ({ soonest, placed, ...props }: ScheduleFiguresProps) => (
  <dl className={css.figures}>
    {SCHEDULE_FIGURES.map((figure) => (
      <div key={figure}>
        <dt>{FIGURE_WORDS[figure]}</dt>
        <dd>
          <FigureOfSchedule {...props} placed={figure === 'late' ? soonest : placed} figure={figure} />
        </dd>
      </div>
    ))}
  </dl>
)
