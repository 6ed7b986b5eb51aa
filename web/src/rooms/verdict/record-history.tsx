import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord, RecordVersion } from '@fleam/contract/fabrication/schemas'
import { assumptionChanges } from '@fleam/core/explanation'
import { documentOf } from '@fleam/core/fabrication'
import Button from 'react-bootstrap/Button'
import { useUpdateFabrication, useVersions } from '../../data/queries.ts'
import { instantWords } from '../../parts/dates.ts'
import { Failed } from '../../parts/states.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import { changeWords } from './change-words.ts'
import css from './record-history.module.css'

const ACTOR_WORDS = { bench: 'at the bench', office: 'in the office' } as const
const WORDS = {
  units: 'number cut',
  date: 'day',
  cook: 'cook',
  supplier: 'supplier',
  style: 'cut style',
  lot: 'lot',
  notes: 'notes',
  leftOut: 'left out because',
  status: 'status',
  labourFrom: 'minutes',
} as const
/** Lists are told as changed: what stands in them is said where they are. */
const LISTS = { causes: 'causes of loss', settled: 'doubts that are stood by' } as const
/** Ids read as nothing: who or what it was is not known any more here. */
const IDS = { cookId: 'cook', supplierId: 'supplier', styleId: 'style' } as const

/** Every change of a record, newest first: when, where, and what it said before. */
export function RecordHistory({ record }: { record: FabricationRecord }) {
  const versions = useVersions(record.id, record.version)
  const format = useFormat(record.currency)
  if (versions.isError) return <Failed error={versions.error} retry={() => void versions.refetch()} />
  if (!versions.data) return null
  if (versions.data.length === 0) return <p className="quiet">Nothing of it was changed yet.</p>
  return (
    <ol className={css.recordHistory} aria-label="Changes of this record">
      {versions.data.map((version, index) => {
        const after = index === 0 ? record : { ...record, ...versions.data[index - 1]?.record }
        const words = changesOf(version, record, after as FabricationRecord, format)
        return (
          <li key={version.version}>
            <strong>{instantWords(version.replacedAt)}</strong>, {ACTOR_WORDS[version.actor]}:{' '}
            {words.length > 0 ? words.join('; ') : 'saved without a change'}{' '}
            {index === 0 && words.length > 0 ? <TakeBack record={record} version={version} /> : null}
          </li>
        )
      })}
    </ol>
  )
}

/** Puts a record back to what it said before its last change: that is a change too, and stands here as one. */
function TakeBack({ record, version }: { record: FabricationRecord; version: RecordVersion }) {
  const change = useUpdateFabrication(record.id)
  const before = { ...record, ...version.record } as FabricationRecord
  // Whether a record is open or closed is no correction of it.
  if (before.status !== record.status) return null
  return (
    <>
      <Button
        size="sm"
        variant="outline-dark"
        className="no-print"
        disabled={change.isPending}
        onClick={() => change.mutate(editOf(before, { version: record.version }))}
      >
        Undo this change
      </Button>
      {change.isError ? <Failed error={change.error} /> : null}
    </>
  )
}

function changesOf(
  version: RecordVersion,
  record: FabricationRecord,
  after: FabricationRecord,
  format: Format,
): string[] {
  const before = { ...record, ...version.record } as FabricationRecord
  const plain = Object.entries(WORDS).flatMap(([field, name]) => {
    const [was, is] = [before[field as keyof FabricationRecord], after[field as keyof FabricationRecord]]
    return was === is || !(field in version.record) ? [] : [`${name} ${is ?? 'none'}, not ${was ?? 'none'}`]
  })
  const lists = Object.entries(LISTS).flatMap(([field, name]) => {
    const [was, is] = [before[field as keyof typeof LISTS], after[field as keyof typeof LISTS]]
    return JSON.stringify(was) === JSON.stringify(is) || !(field in version.record) ? [] : [`${name} changed`]
  })
  const others = Object.entries(IDS).flatMap(([field, name]) =>
    field in version.record && before[field as keyof FabricationRecord] !== after[field as keyof FabricationRecord]
      ? [`another ${WORDS[name]}`]
      : [],
  )
  const isPileAdded = after.piles.length > before.piles.length
  const assumed = isPileAdded
    ? [`pile ${after.piles.at(-1)?.name} added`]
    : assumptionChanges(documentOf(before, []), documentOf(after, [])).map((assumptionChange) =>
        changeWords(assumptionChange, format),
      )
  const bounds = after.piles.flatMap((pile) => {
    const was = before.piles.find(({ id }) => id === pile.id)
    if (!was) return []
    const renamed = was.name === pile.name ? [] : [`pile ${pile.name}, not ${was.name}`]
    const isBound = was.target === pile.target && was.low === pile.low && was.high === pile.high
    return isBound ? renamed : [...renamed, `other portion weights of ${pile.name}`]
  })
  return [...plain, ...lists, ...others, ...bounds, ...assumed]
}
