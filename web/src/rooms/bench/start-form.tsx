import type { Cook, FabricationRow, Item, LotTrace, Style } from '@fleam/contract'
import { type Chosen, MOST_UNITS, PRICE_UNITS, type PriceUnit, purchaseFromLot, type Rhythm } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useStartFabrication } from '../../data/queries.ts'
import { dayIn } from '../../parts/dates.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { StyleChoice } from './style-choice.tsx'

interface StartFormProps {
  items: Item[]
  cooks: Cook[]
  /** Earlier fabrications, newest first: what was paid last time is offered again. */
  latest: FabricationRow[]
  /** A raw lot that is cut from: its item, price, weights and supplier are offered. */
  lot?: LotTrace | null
}

const PER_WORDS: Readonly<Record<PriceUnit, string>> = {
  kg: 'a kilo',
  lb: 'a pound',
  piece: 'a piece',
  case: 'a case',
  lot: 'for the lot',
}

/** The newest fabrication of a style, or of its item where the style is new. */
const lastOf = (latest: readonly FabricationRow[], item: Item, style: Style) =>
  latest.find((row) => row.styleId === style.id) ?? latest.find((row) => row.itemId === item.id)

/** What goes on the board: style, number, price and the invoice's weight. The rest has defaults. */
export function StartForm({ items, cooks, latest, lot = null }: StartFormProps) {
  const kitchen = useKitchen()
  const format = useFormat()
  const navigate = useNavigate()
  const start = useStartFabrication()
  const open = items.filter(
    (item) =>
      !item.isArchived &&
      item.styles.some((style) => !style.isArchived) &&
      (lot === null || item.id === lot.lot.itemId),
  )
  const drawn = lot && purchaseFromLot(lot.lot, lot.usedWeight)
  const styles = open.flatMap((item) => item.styles.map((style) => ({ item, style })))
  const [styleId, setStyleId] = useState(
    () => (styles.find(({ style }) => style.id === latest[0]?.styleId) ?? styles[0])?.style.id ?? '',
  )
  const [chosen, setChosen] = useState<Chosen>({})
  const [rhythm, setRhythm] = useState<Rhythm>('unit')
  const chosenStyle = styles.find(({ style }) => style.id === styleId)
  const lastRow = chosenStyle && lastOf(latest, chosenStyle.item, chosenStyle.style)
  const last = lastRow?.document
  const [units, setUnits] = useState<number | null>(drawn?.pieces ?? last?.purchase.pieces ?? 1)
  const [amount, setAmount] = useState<number | null>(drawn?.price.amount ?? last?.purchase.price.amount ?? null)
  const [per, setPer] = useState<PriceUnit>(
    drawn?.price.per ?? last?.purchase.price.per ?? (kitchen.units === 'metric' ? 'kg' : 'lb'),
  )
  const [extras, setExtras] = useState<number | null>((drawn ? drawn.extras : last?.purchase.extras) ?? null)
  const [invoiceWeight, setInvoiceWeight] = useState<number | null>(drawn?.invoiceWeight ?? null)
  const [receivedWeight, setReceivedWeight] = useState<number | null>(drawn?.receivedWeight ?? null)
  const [purge, setPurge] = useState<number | null>(null)
  const [supplier, setSupplier] = useState(lot?.lot.supplier ?? last?.meta?.supplier ?? '')
  const [cookId, setCookId] = useState(
    () => cooks.find((cook) => cook.id === lastRow?.cookId)?.id ?? cooks[0]?.id ?? '',
  )
  const [isMissing, setMissing] = useState(false)
  if (!chosenStyle) return <p>This kitchen has no cut styles yet.</p>
  const { item, style } = chosenStyle
  // Where draining is a step, the liquid is weighed there, on a pile of its own.
  const isDrainedAtBench = style.piles.some((pile) => pile.kind === 'liquid')
  /** Another style: what it was bought for last time is offered, and nothing of the one before. */
  const chooseStyle = (nextId: string) => {
    const next = styles.find((each) => each.style.id === nextId)
    const before = next && lastOf(latest, next.item, next.style)?.document
    setStyleId(nextId)
    setChosen({})
    // What was bought stays what was bought, however it is cut.
    if (lot) return
    setAmount(before?.purchase.price.amount ?? null)
    setPer(before?.purchase.price.per ?? (kitchen.units === 'metric' ? 'kg' : 'lb'))
    setUnits(before?.purchase.pieces ?? 1)
    setExtras(before?.purchase.extras ?? null)
    setSupplier(before?.meta?.supplier ?? '')
  }
  const isWhole =
    units !== null &&
    units >= 1 &&
    Number.isInteger(units) &&
    amount !== null &&
    invoiceWeight !== null &&
    invoiceWeight > 0

  const submit = (event: FormEvent) => {
    event.preventDefault()
    setMissing(!isWhole)
    if (!isWhole) return
    const now = new Date()
    start.mutate(
      {
        id: newId(),
        styleId,
        units,
        purchase: {
          price: { amount, per },
          invoiceWeight,
          pieces: units,
          cases: drawn?.cases ?? 1,
          ...(receivedWeight === null ? {} : { receivedWeight }),
          ...(purge === null || isDrainedAtBench ? {} : { purge }),
          ...(extras === null ? {} : { extras }),
        },
        cookId: cookId || null,
        supplier: supplier.trim() || null,
        lot: lot?.lot.code ?? null,
        lotId: lot?.lot.id ?? null,
        date: dayIn(kitchen.timeZone, now),
        startedAt: now.toISOString(),
        rhythm,
        chosen,
      },
      { onSuccess: ({ record }) => navigate(`/bench/${record.id}`) },
    )
  }

  const usual = item.unitWeight.usual
  return (
    <Form onSubmit={submit} className="start-form">
      <StyleChoice
        items={open}
        item={item}
        style={style}
        chosen={chosen}
        units={units}
        rhythm={rhythm}
        onStyle={chooseStyle}
        onChosen={setChosen}
        onRhythm={setRhythm}
      />
      <NumberField
        key={`units-${styleId}`}
        label={`How many ${item.unitName.many}`}
        value={units}
        onChange={setUnits}
        min={1}
        max={MOST_UNITS}
        isRequired
      />
      <WeightField
        label="Weight on the invoice"
        hint={`one ${item.unitName.one} is usually about ${format.weight(usual)}`}
        grams={invoiceWeight}
        onChange={setInvoiceWeight}
        isRequired
      />
      <WeightField
        label="Weight received"
        hint="as on the invoice, unless you weigh it"
        grams={receivedWeight}
        onChange={setReceivedWeight}
      />
      {isDrainedAtBench ? null : (
        <WeightField label="Liquid drained" hint="none, unless you weigh it" grams={purge} onChange={setPurge} />
      )}
      <NumberField
        label={`Price, ${kitchen.currency}`}
        value={amount}
        onChange={setAmount}
        isRequired
        hint={last ? 'as last time' : ''}
        key={`price-${styleId}`}
      />
      <Form.Group controlId="start-per">
        <Form.Label>Price is</Form.Label>
        <Form.Select value={per} onChange={(event) => setPer(event.target.value as PriceUnit)}>
          {PRICE_UNITS.map((unit) => (
            <option key={unit} value={unit}>
              {PER_WORDS[unit]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <NumberField
        key={`extras-${styleId}`}
        label={`Delivery and charges, ${kitchen.currency}`}
        value={extras}
        onChange={setExtras}
      />
      <Form.Group controlId="start-supplier">
        <Form.Label>Supplier</Form.Label>
        <Form.Control value={supplier} maxLength={120} onChange={(event) => setSupplier(event.target.value)} />
      </Form.Group>
      <Form.Group controlId="start-cook">
        <Form.Label>Cook</Form.Label>
        <Form.Select value={cookId} onChange={(event) => setCookId(event.target.value)}>
          {cooks.map((cook) => (
            <option key={cook.id} value={cook.id}>
              {cook.name}
            </option>
          ))}
          <option value="">nobody in particular</option>
        </Form.Select>
      </Form.Group>
      <div className="wide">
        <Button type="submit" className="main-action" disabled={start.isPending}>
          Start weighing
        </Button>
      </div>
      {isMissing ? (
        <p className="refusal wide" role="alert">
          Fleam needs how many {item.unitName.many}, the weight on the invoice and the price.
        </p>
      ) : null}
      {start.isError ? <Failed error={start.error} /> : null}
    </Form>
  )
}
