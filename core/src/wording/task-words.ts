import type { FaultRule, PlannedJob, ScheduleFault, WorkPlan, WorkTask } from '../scheduling/index.ts'

/** What a task is, in a few words: `load 2 of 8, 3 birds`, `part 2: bone the thighs, 20 birds`, `pack and label`. */
export function taskWords(
  { kind, units, load, loads, part }: WorkTask,
  job: Pick<PlannedJob, 'unitName' | 'steps'> | undefined,
): string {
  const counted = `${Math.round(units)} ${(units === 1 ? job?.unitName.one : job?.unitName.many) ?? ''}`
  switch (kind) {
    case 'cut': {
      const shared = part ? `part ${part.number}${stepWords(part, job)}, ` : ''
      return `${shared}${loads > 1 ? `load ${load} of ${loads}, ${counted}` : counted}`
    }
    case 'cold':
      return `${loads > 1 ? `load ${load}` : counted} back in the cold${part ? ` after part ${part.number}` : ''}`
    case 'thaw':
      return 'thaws in the cold'
    case 'dry':
      return 'dries in the cold'
    case 'temper':
      return loads > 1 ? `load ${load} of ${loads} stands out of the cold` : 'stands out of the cold'
    case 'cure':
      return 'cures'
    case 'confit-on':
      return 'put into hot fat'
    case 'confit-off':
      return 'take out of the fat and cool'
    case 'stock-on':
      return 'put the bones on'
    case 'stock-off':
      return 'strain and cool the pot'
    case 'confit':
      return 'in hot fat'
    case 'chill':
      return 'cools down'
    case 'set':
      return 'sets in the cold'
    case 'pack':
      return 'pack and label'
    case 'stock':
      return 'bones in the pot'
  }
}

/** What a part of a line is: `: take the legs off, take the wings off` by the titles of its steps. */
function stepWords({ of, steps }: NonNullable<WorkTask['part']>, job: Pick<PlannedJob, 'steps'> | undefined): string {
  const titles = steps.flatMap((id) => job?.steps.find((step) => step.id === id)?.title ?? [])
  return titles.length === 0 ? ` of ${of}` : `: ${titles.join(', ').toLowerCase()}`
}

const RULES: Readonly<Record<FaultRule, string>> = {
  'outside-shift': 'lies outside the cook’s hours',
  'wrong-cook': 'is for another cook',
  'cook-busy': 'has a cook who is busy with',
  'station-busy': 'stands where there is',
  'not-cleaned': 'leaves no time to clean down after',
  'too-early': 'begins before it may',
  'before-another': 'begins before the end of',
  'too-late-after': 'begins too late after',
  late: 'is not done in time',
  'beyond-the-horizon': 'lies beyond the days of the plan',
}

/** A rule that a task breaks, as a sentence. */
export const faultWords = ({ task, rule, with: other }: ScheduleFault, nameOf: (id: string) => string): string =>
  `${nameOf(task)} ${RULES[rule]}${other === null ? '' : ` ${nameOf(other)}`}.`

/** What each task of some work is called: `load 2 of 8, 3 birds · Duck: breasts`; its id where it is none of them. */
export function taskNames({ tasks }: WorkPlan, jobs: readonly PlannedJob[]): (id: string) => string {
  const taskOf = new Map(tasks.map((task) => [task.id, task]))
  const jobOf = new Map(jobs.map((job) => [job.id, job]))
  return (id) => {
    const task = taskOf.get(id)
    const job = task && jobOf.get(task.jobId)
    return task && job ? `${taskWords(task, job)} · ${job.name}` : id
  }
}
