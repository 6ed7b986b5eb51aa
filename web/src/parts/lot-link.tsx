import { Link } from 'react-router-dom'

interface LotLinkProps {
  /** The lot as it is written on the label. */
  lot: string | null
  /** Its page, where it was received here. */
  lotId: string | null
}

/** The lot that a record was cut from, after what stands before it; nothing where nobody said one. */
export function LotLink({ lot, lotId }: LotLinkProps) {
  if (lotId !== null)
    return (
      <>
        {' · '}
        <Link to={`/buying/lots/${lotId}`}>lot {lot ?? 'without a number'}</Link>
      </>
    )
  return lot === null ? null : <> · lot {lot}</>
}
