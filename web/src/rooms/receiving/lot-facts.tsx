import type { LotTrace } from '@fleam/contract/receiving/schemas'
import { deliveryClaim, isSentBack, lotBalance } from '@fleam/core/receiving'
import { useItems } from '../../data/queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { priceWords } from '../../parts/price-words.ts'
import { standingWords } from '../../parts/standing-words.ts'
import { lotLastDayWords } from '../../parts/stock-words.ts'
import { useFormat } from '../../parts/use-format.ts'

/** What came, and where it went: cut, lost and left add up to it. */
export function LotFacts({ trace: { lot, usedWeight } }: { trace: LotTrace }) {
  const format = useFormat()
  const items = useItems()
  const claim = deliveryClaim(lot.cases, lot.price)
  const isGone = lot.isFinished || isSentBack(lot.standing)
  const { came, cut, lost, left } = lotBalance({ ...claim, usedWeight }, isGone)
  const numbers = [
    ['Invoice number', lot.invoiceNumber],
    ['Order number', lot.orderNumber],
    ['Article number', lot.articleNumber ?? lot.gtin],
  ] as const
  return (
    <section aria-labelledby="came">
      <h2 id="came">What came</h2>
      <dl className="sums">
        <Fact name="From">{lot.supplier}</Fact>
        <Fact name="Received">{dayWords(lot.receivedOn)}</Fact>
        {lot.standing === 'accepted' && lot.standingReason === null ? null : (
          <Fact name="Now">{standingWords(lot)}</Fact>
        )}
        <Fact name="Price">{priceWords(lot.price, format)}</Fact>
        <Fact name="On the invoice">{format.weight(claim.invoiceWeight)}</Fact>
        <Fact name="Came">{format.weight(came)}</Fact>
        <Fact name="Cut from it so far">{format.weight(cut)}</Fact>
        {lost > 0 ? (
          <Fact name={isSentBack(lot.standing) ? 'Sent back' : 'Lost or thrown away'}>{format.weight(lost)}</Fact>
        ) : null}
        <Fact name="Should be left">{format.weight(left)}</Fact>
        <Fact name="Use by, on the label">{lot.useBy ? dayWords(lot.useBy) : 'nobody says'}</Fact>
        <Fact name="Opened">{lot.openedOn ? dayWords(lot.openedOn) : 'not yet'}</Fact>
        {isGone ? null : <Fact name="Last day">{lotLastDayWords(lot, items.data ?? [])}</Fact>}
        {numbers.map(([name, words]) =>
          words ? (
            <Fact key={name} name={name}>
              {words}
            </Fact>
          ) : null,
        )}
      </dl>
    </section>
  )
}

const Fact = ({ name, children }: { name: string; children: string }) => (
  <div>
    <dt>{name}</dt>
    <dd>{children}</dd>
  </div>
)
