import type { WeighingCheck } from '@fleam/core/weighing'
import Button from 'react-bootstrap/Button'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './checks-line.module.css'

/** One question about what looks wrong, in one line. Weighing goes on whether it is answered or not. */
export function ChecksLine({ bench }: { bench: Bench }) {
  const format = useFormat(bench.live.record.currency)
  const [check] = bench.checks.open
  if (!check) return null
  const pile = bench.live.record.piles.find((pile) => pile.id === check.pileId)?.name ?? ''
  const { readingId } = check
  return (
    <section className={css.check} role="status" aria-label="Question">
      <p>{questionOf(check, pile, format.weight)}</p>
      <Button variant="outline-dark" onClick={() => bench.checks.confirm(check)}>
        It is right
      </Button>
      {readingId === null ? null : (
        <Button variant="outline-dark" onClick={() => bench.withdraw(readingId)}>
          Delete this weight
        </Button>
      )}
      {bench.checks.open.length > 1 ? <span className="quiet">and {bench.checks.open.length - 1} more</span> : null}
    </section>
  )
}

/** A question about a weighing, in one line. */
export function questionOf(
  { code, grams, against }: WeighingCheck,
  pile: string,
  weight: (grams: number) => string,
): string {
  switch (code) {
    case 'invoice-weight':
      return `${weight(grams)} came out of ${weight(against)}. Is the weight on the invoice right?`
    case 'heavier-than-whole':
      return `${weight(grams)} of ${pile} is more than the whole, ${weight(against)}. Right?`
    case 'taken-twice':
      return `${weight(grams)} of ${pile} was taken twice within a second. Two of them?`
    case 'wrong-unit':
      return `${weight(grams)} of ${pile}, about ${weight(against)} expected: pounds for kilos?`
    case 'decimal-slip':
      return `${weight(grams)} of ${pile}, about ${weight(against)} expected: is the unit or the decimal mark right?`
    case 'count-does-not-fit':
      return `${weight(grams)} of ${pile}, about ${weight(against)} expected of so many. Is the number of pieces right?`
    case 'far-from-expected':
      return `${pile}: ${weight(grams)} on average, about ${weight(against)} expected. The right pile?`
    case 'balance-over':
      return `${weight(grams)} came out of ${weight(against)}. Is a weight or a unit wrong?`
    case 'balance-lost':
      return `Only ${weight(grams)} of ${weight(against)} is on a pile. Was something not weighed?`
  }
}
