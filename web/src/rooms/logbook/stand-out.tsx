import type { LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { explainAgainst, type LogbookGroup } from '@fleam/core/logbook'
import type { Format } from '../../parts/use-format.ts'
import { memberWords } from './group-words.ts'
import { MaybeOpened } from './maybe-opened.tsx'

export type Group = LogbookSummaryAnswer['groups'][number]

/** Only where the interval leaves zero out is a difference more than chance. */
export function standsOut({ yieldAgainstStyle: against }: Group): boolean {
  const { low = null, high = null } = against ?? {}
  return low !== null && high !== null && (low > 0 || high < 0)
}

interface StandOutProps {
  groups: readonly Group[]
  group: LogbookGroup
  format: Format
}

/** Members that get more or less than the others: `Marit 2.4 points more; Bruno 0.8 points less`. */
export const StandOut = ({ groups, group, format }: StandOutProps) =>
  groups.map((member, index) => {
    const mean = member.yieldAgainstStyle?.mean ?? 0
    return (
      <span key={member.key}>
        {index > 0 ? '; ' : ''}
        <strong>{memberWords(group, member, format)}</strong>{' '}
        <MaybeOpened explanation={explainAgainst(mean)}>
          {`${format.number(Math.abs(mean) * 100, 1)} points`}
        </MaybeOpened>{' '}
        {mean > 0 ? 'more' : 'less'}
      </span>
    )
  })
