import { addressOf } from '@fleam/contract/client'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import { sheetOperations } from '@fleam/contract/sheet/operations'
import { pileWeight } from '@fleam/core/fabrication'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'

/** Forward from a lot: every fabrication that was cut from it, and the portions that came of it. */
export function LotMade({ trace: { fabrications } }: { trace: LotTrace }) {
  const kitchen = useKitchen()
  const format = useFormat()
  return (
    <section aria-labelledby="made">
      <h2 id="made">What was made of it</h2>
      {fabrications.length === 0 ? <p className="quiet">Nothing yet.</p> : null}
      <ul>
        {fabrications.map(({ id, status, document }) => (
          <li key={id}>
            <Link to={status === 'open' ? `/bench/${id}` : `/verdict/${id}`}>
              {document.style}, {document.meta?.date ? dayWords(document.meta.date) : ''}
            </Link>
            {document.meta?.cook ? `, ${document.meta.cook}` : ''}:{' '}
            {document.piles
              .filter((pile) => pile.class !== 'waste' && pileWeight(pile) > 0)
              .map(
                (pile) =>
                  `${pile.name} ${pile.pieces ? `${pile.pieces.length} pieces, ` : ''}${format.weight(pileWeight(pile))}`,
              )
              .join('; ') || 'nothing weighed yet'}
            {status === 'closed' ? (
              <>
                {' · '}
                <a
                  href={addressOf(sheetOperations.readSheet, { kitchenId: kitchen.id, fabricationId: id })}
                  target="_blank"
                  rel="noreferrer"
                >
                  PDF
                </a>
              </>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  )
}
