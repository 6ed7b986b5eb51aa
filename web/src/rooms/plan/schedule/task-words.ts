import type { FaultRule, PlannedJob, ScheduleFault, WorkTask } from '@fleam/core'

/** What a task is, in a few words: `load 2 of 8, 3 birds`, `pack and label`. */
export function taskWords(
  { kind, units, load, loads }: WorkTask,
  job: Pick<PlannedJob, 'unitName'> | undefined,
): string {
  const counted = `${Math.round(units)} ${(units === 1 ? job?.unitName.one : job?.unitName.many) ?? ''}`
  switch (kind) {
    case 'cut':
      return loads > 1 ? `load ${load} of ${loads}, ${counted}` : counted
    case 'set':
      return 'sets in the cold'
    case 'pack':
      return 'pack and label'
    case 'stock':
      return 'bones in the pot'
  }
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
