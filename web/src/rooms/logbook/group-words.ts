import { RIGOR_STATES } from '@fleam/catalogue'
import type { LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { type LogbookGroup, sizeClassOf } from '@fleam/core/logbook'
import { monthWords } from '../../parts/dates.ts'
import type { Format } from '../../parts/use-format.ts'

interface GroupWords {
  by: string
  header: string
  /** Its members are compared at the same item and style. */
  isCompared: boolean
}

export const GROUP_WORDS: Readonly<Record<LogbookGroup, GroupWords>> = {
  item: { by: 'by item', header: 'Item', isCompared: false },
  style: { by: 'by cut style', header: 'Cut style', isCompared: false },
  cook: { by: 'by cook', header: 'Cook', isCompared: true },
  supplier: { by: 'by supplier', header: 'Supplier', isCompared: true },
  month: { by: 'by month', header: 'Month', isCompared: true },
  week: { by: 'by week', header: 'Week', isCompared: true },
  season: { by: 'by season', header: 'Season', isCompared: true },
  size: { by: 'by size', header: 'One weighs', isCompared: true },
  stiffness: { by: 'by rigor', header: 'Rigor', isCompared: true },
}

/** What a member of a grouping is called on the screen. */
export function memberWords(
  group: LogbookGroup,
  { key, name }: Pick<LogbookSummaryAnswer['groups'][number], 'key' | 'name'>,
  format: Format,
): string {
  if (key === null) return group === 'cook' ? 'Unassigned' : 'not said'
  if (group === 'size') {
    const { from, to } = sizeClassOf(Number(key))
    return `${format.weight(from)} to ${format.weight(to)}`
  }
  if (group === 'stiffness') return RIGOR_STATES[Number(key)] ?? 'not said'
  if (group === 'month') return monthWords(key)
  return name ?? key
}
