/** What was said of a batch before anything is weighed, grams; null where nobody has said it. */
export interface StartSaid {
  units: number | null
  invoiceWeight: number | null
  receivedWeight: number | null
  /** What one unit of this kind weighs. */
  unitWeight: { low: number; usual: number; high: number }
}

/** Something that looks wrong in what was said of a batch; asked about, never blocking. */
export type StartDoubt =
  /** One unit would weigh `each`, far from its kind's. */
  | { code: 'unit-weight'; each: number }
  /** What was received is far from what the invoice says. */
  | { code: 'received-weight'; share: number }

/** A unit may be lighter or heavier than its kind by this factor before it is asked about. */
const FAR_FACTOR = 1.5
/** More than this share of the invoice came, or less than that: a weight or a unit is wrong. */
const MAX_RECEIVED = 1.05
const MIN_RECEIVED = 0.7

/** What to ask about a batch, the most pressing first. */
export function startDoubts({ units, invoiceWeight, receivedWeight, unitWeight }: StartSaid): StartDoubt[] {
  if (invoiceWeight === null || invoiceWeight <= 0) return []
  const doubts: StartDoubt[] = []
  const each = units !== null && units > 0 ? invoiceWeight / units : null
  if (each !== null && (each < unitWeight.low / FAR_FACTOR || each > unitWeight.high * FAR_FACTOR)) {
    doubts.push({ code: 'unit-weight', each })
  }
  const share = receivedWeight === null ? 1 : receivedWeight / invoiceWeight
  if (share > MAX_RECEIVED || share < MIN_RECEIVED) doubts.push({ code: 'received-weight', share })
  return doubts
}
