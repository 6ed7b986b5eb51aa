import type { PlannedOffer, PlannedPile, PriceUnit } from '@fleam/core/fabrication'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'
import { PriceUnitOptions } from '../../parts/price-units.tsx'
import { WeightField } from '../../parts/weight-field.tsx'

interface OfferFieldsProps {
  offers: PlannedOffer[]
  /** Portion piles that can be bought ready. */
  piles: readonly PlannedPile[]
  currency: string
  onChange: (offers: PlannedOffer[]) => void
}

/** The offers that making is compared with. */
export function OfferFields({ offers, piles, currency, onChange }: OfferFieldsProps) {
  const change = (at: number, changes: Partial<PlannedOffer>) =>
    onChange(offers.map((offer, index) => (index === at ? { ...offer, ...changes } : offer)))
  const add = () =>
    onChange([
      ...offers,
      {
        name: `Offer ${offers.length + 1}`,
        pileId: piles[0]?.id ?? '',
        price: { amount: 0, per: 'piece' },
        pieces: 1,
        pieceWeight: 280,
        usableShare: 1,
      },
    ])
  return (
    <fieldset>
      <legend>Ready-portioned offers</legend>
      {offers.map((offer, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: offers have no id, and only the end of the list grows
        <div key={index} className="fields">
          <OneOffer
            offer={offer}
            at={index}
            piles={piles}
            currency={currency}
            onChange={(changes) => change(index, changes)}
          />
          <Button
            variant="outline-dark"
            size="sm"
            onClick={() => onChange(offers.filter((_, offer) => offer !== index))}
          >
            Remove this offer
          </Button>
        </div>
      ))}
      <Button variant="outline-dark" size="sm" onClick={add}>
        Add an offer
      </Button>
    </fieldset>
  )
}

interface OneOfferProps {
  offer: PlannedOffer
  at: number
  piles: readonly PlannedPile[]
  currency: string
  onChange: (changes: Partial<PlannedOffer>) => void
}

const OneOffer = ({ offer, at, piles, currency, onChange }: OneOfferProps) => (
  <>
    <Form.Group controlId={`offer-name-${at}`} className="wide">
      <Form.Label>Offer</Form.Label>
      <Form.Control
        value={offer.name}
        required
        maxLength={120}
        onChange={(event) => onChange({ name: event.target.value })}
      />
    </Form.Group>
    <Form.Group controlId={`offer-pile-${at}`}>
      <Form.Label>Replaces</Form.Label>
      <Form.Select value={offer.pileId} onChange={(event) => onChange({ pileId: event.target.value })}>
        {piles.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
    <NumberField
      label={`Price, ${currency}`}
      value={offer.price.amount}
      onChange={(amount) => amount !== null && onChange({ price: { ...offer.price, amount } })}
    />
    <Form.Group controlId={`offer-per-${at}`}>
      <Form.Label>per</Form.Label>
      <Form.Select
        value={offer.price.per}
        onChange={(event) => onChange({ price: { ...offer.price, per: event.target.value as PriceUnit } })}
      >
        <PriceUnitOptions />
      </Form.Select>
    </Form.Group>
    <NumberField
      label="Pieces in it"
      min={1}
      value={offer.pieces ?? null}
      onChange={(pieces) => onChange({ pieces: pieces ?? undefined })}
    />
    <WeightField
      label="One piece weighs"
      grams={offer.pieceWeight}
      onChange={(grams) => grams !== null && grams > 0 && onChange({ pieceWeight: grams })}
    />
    <NumberField
      label="Usable, 0 to 1"
      min={0.01}
      max={1}
      value={offer.usableShare ?? 1}
      onChange={(usableShare) => onChange({ usableShare: usableShare ?? undefined })}
    />
    <NumberField
      label={`Charges of an order, ${currency}`}
      hint="delivery, once an order"
      value={offer.extras ?? 0}
      onChange={(extras) => onChange({ extras: extras || undefined })}
    />
    <NumberField
      label="Handling, minutes each"
      value={offer.handlingMinutesPerPiece ?? 0}
      onChange={(minutes) => onChange({ handlingMinutesPerPiece: minutes ?? undefined })}
    />
  </>
)
