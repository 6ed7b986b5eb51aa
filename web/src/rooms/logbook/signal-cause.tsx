import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { LogbookSeries } from '@fleam/contract/logbook/schemas'
import { LOSS_CAUSES, type LossCause } from '@fleam/core/weighing'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useFabrication, useUpdateFabrication } from '../../data/queries.ts'
import { CAUSE_WORDS } from '../../parts/cause-words.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import css from './signal-cause.module.css'

interface SignalCauseProps {
  recordId: string
  /** The pile that moved most. */
  moved: LogbookSeries['signals'][number]['moved']
}

/** Asks why something lies outside what is usual; the answer is kept with its first record. */
export function SignalCause({ recordId, moved }: SignalCauseProps) {
  const [isAsked, setAsked] = useState(false)
  if (isAsked) return <CauseForm recordId={recordId} moved={moved} onClose={() => setAsked(false)} />
  return (
    <Button size="sm" variant="outline-dark" className="no-print" onClick={() => setAsked(true)}>
      Why?
    </Button>
  )
}

function CauseForm({ recordId, moved, onClose }: SignalCauseProps & { onClose: () => void }) {
  const { data, isError, error } = useFabrication(recordId)
  if (isError) return <Failed error={error} />
  return data ? <CauseFields record={data.record} moved={moved} onClose={onClose} /> : <Loading what="the record" />
}

type CauseFieldsProps = Pick<SignalCauseProps, 'moved'> & { record: FabricationRecord; onClose: () => void }

function CauseFields({ record, moved, onClose }: CauseFieldsProps) {
  const change = useUpdateFabrication(record.id)
  const pileOfSignal =
    record.piles.find(({ stylePileId, name }) => (stylePileId ?? name) === moved?.key) ?? record.piles[0]
  const [pileId, setPileId] = useState(pileOfSignal?.id ?? '')
  const [cause, setCause] = useState<LossCause | ''>('')
  const [isLasting, setLasting] = useState(false)
  const keep = () => {
    if (cause === '') return
    const others = record.causes.filter((cause) => cause.pileId !== pileId)
    change.mutate(editOf(record, { causes: [...others, { pileId, cause, isLasting }] }), { onSuccess: onClose })
  }
  return (
    <div className={css.cause}>
      <Form.Select aria-label="Pile" value={pileId} onChange={(event) => setPileId(event.target.value)}>
        {record.piles.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
      <Form.Select
        aria-label="Cause"
        value={cause}
        onChange={(event) => setCause(event.target.value as LossCause | '')}
      >
        <option value="">What was it?</option>
        {LOSS_CAUSES.map((lossCause) => (
          <option key={lossCause} value={lossCause}>
            {CAUSE_WORDS[lossCause]}
          </option>
        ))}
      </Form.Select>
      <Form.Check
        id={`lasting-${record.id}`}
        label="It stays so: what is usual begins anew here"
        checked={isLasting}
        onChange={(event) => setLasting(event.target.checked)}
      />
      <Button size="sm" disabled={cause === '' || change.isPending} onClick={keep}>
        Keep
      </Button>
      <Button size="sm" variant="outline-dark" onClick={onClose}>
        Cancel
      </Button>
      {change.isError ? <Failed error={change.error} /> : null}
    </div>
  )
}
