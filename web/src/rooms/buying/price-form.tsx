import { PRICE_UNITS, type PriceUnit } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type PriceWish, useAddPrice, useProducts } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { dayIn } from '../../parts/dates.ts'
import { DayField } from '../../parts/day-field.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { PER_WORDS } from '../../parts/price-words.ts'
import { Failed } from '../../parts/states.tsx'
import { SupplierField } from '../../parts/supplier-field.tsx'
import { WeightField } from '../../parts/weight-field.tsx'

interface PriceFormProps {
  /** The article whose price changes; everything else stands as it was. */
  from?: PriceWish
  onDone: () => void
}

/** One price by hand: it is added to the history, what was there stays. */
export function PriceForm({ from, onDone }: PriceFormProps) {
  const { currency, timeZone, units } = useKitchen()
  const items = useItems().data ?? []
  const products = useProducts().data ?? []
  const add = useAddPrice()
  const [line, setLine] = useState<PriceWish>(
    () =>
      from ?? {
        supplier: '',
        code: '',
        name: '',
        kind: 'whole',
        itemId: null,
        productId: null,
        price: { amount: 0, per: units === 'metric' ? 'kg' : 'lb' },
        pieceWeight: null,
        packPieces: null,
        packWeight: null,
        usableShare: null,
        handlingMinutesPerPiece: null,
        delivery: null,
        minimumOrder: null,
        from: dayIn(timeZone, new Date()),
        until: null,
      },
  )
  const [amount, setAmount] = useState<number | null>(from?.price.amount ?? null)
  const change = (changes: Partial<PriceWish>) => setLine((before) => ({ ...before, ...changes }))
  const isWhole = line.supplier.trim() !== '' && line.name.trim() !== '' && amount !== null
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (!isWhole) return
    const code = line.code.trim() || line.name.trim()
    add.mutate({ ...line, code, price: { ...line.price, amount } }, { onSuccess: onDone })
  }
  return (
    <Form onSubmit={submit} className="form-grid" aria-label="A price">
      {from ? null : (
        <>
          <SupplierField label="Supplier" value={line.supplier} onChange={(supplier) => change({ supplier })} />
          <Form.Group controlId="price-name">
            <Form.Label>Article</Form.Label>
            <Form.Control
              value={line.name}
              maxLength={120}
              required
              onChange={(event) => change({ name: event.target.value })}
            />
          </Form.Group>
          <Form.Group controlId="price-kind">
            <Form.Label>It is</Form.Label>
            <Form.Select
              value={line.kind}
              onChange={(event) =>
                change({ kind: event.target.value as PriceWish['kind'], itemId: null, productId: null })
              }
            >
              <option value="whole">cut here</option>
              <option value="ready">bought ready</option>
            </Form.Select>
          </Form.Group>
          {line.kind === 'whole' ? (
            <Form.Group controlId="price-item">
              <Form.Label>Cut as</Form.Label>
              <Form.Select
                value={line.itemId ?? ''}
                onChange={(event) => change({ itemId: event.target.value || null })}
              >
                <option value="">nothing yet</option>
                {items.map((item) => (
                  <option key={item.id} value={item.id}>
                    {item.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          ) : (
            <Form.Group controlId="price-product">
              <Form.Label>Served as</Form.Label>
              <Form.Select
                value={line.productId ?? ''}
                onChange={(event) => change({ productId: event.target.value || null })}
              >
                <option value="">nothing yet</option>
                {products.map((product) => (
                  <option key={product.id} value={product.id}>
                    {product.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          )}
        </>
      )}
      <NumberField
        label={`Price, ${currency}`}
        value={amount}
        onChange={setAmount}
        isRequired
        {...(amount === 0 ? { hint: 'A price of 0.00: is it free?' } : {})}
      />
      <Form.Group controlId="price-per">
        <Form.Label>For</Form.Label>
        <Form.Select
          value={line.price.per}
          onChange={(event) => change({ price: { ...line.price, per: event.target.value as PriceUnit } })}
        >
          {PRICE_UNITS.map((per) => (
            <option key={per} value={per}>
              {PER_WORDS[per]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <WeightField
        label="One piece weighs"
        hint="as usual for the item"
        grams={line.pieceWeight}
        onChange={(pieceWeight) => change({ pieceWeight })}
      />
      {line.price.per === 'case' || line.price.per === 'lot' ? (
        <NumberField
          label="Pieces in it"
          value={line.packPieces}
          onChange={(packPieces) => change({ packPieces })}
          min={1}
        />
      ) : null}
      {line.kind === 'ready' ? (
        <>
          <NumberField
            label="Usable share, 0 to 1"
            value={line.usableShare}
            max={1}
            onChange={(usableShare) => change({ usableShare })}
            hint="all of it"
          />
          <NumberField
            label="Minutes to unpack a piece"
            value={line.handlingMinutesPerPiece}
            onChange={(handlingMinutesPerPiece) => change({ handlingMinutesPerPiece })}
            hint="none"
          />
        </>
      ) : null}
      <DayField label="From" value={line.from} onChange={(from) => from !== null && change({ from })} />
      <div className="actions wide">
        <Button type="submit" disabled={!isWhole || add.isPending}>
          Keep this price
        </Button>
      </div>
      {add.isError ? (
        <div className="wide">
          <Failed error={add.error} />
        </div>
      ) : null}
    </Form>
  )
}
