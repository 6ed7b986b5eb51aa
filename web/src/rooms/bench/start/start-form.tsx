import type { WeightUnit } from '@fleam/core/units'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { FormNumber, FormWeight } from '../../../parts/form-fields.tsx'
import { PriceUnitOptions } from '../../../parts/price-units.tsx'
import { Failed } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { LotChoice } from './lot-choice.tsx'
import { PriceText } from './price-text.tsx'
import { SetUpList } from './set-up-list.tsx'
import { StartBounds } from './start-bounds.tsx'
import { StartDoubts } from './start-doubts.tsx'
import css from './start-form.module.css'
import { StartLoads } from './start-loads.tsx'
import { StyleChoice } from './style-choice.tsx'
import { type StartFormProps, type StartFormState, useStartForm } from './use-start-form.ts'

/** What goes on the board: style, number and the invoice's weight. The rest has defaults, or is told later. */
export function StartForm(props: StartFormProps) {
  const state = useStartForm(props)
  const { form, start, open, styles, chooseStyle, submit } = state
  const fields = form.watch()
  const chosen = styles.find(({ style }) => style.id === fields.styleId)
  if (!chosen) return <p>This kitchen has no cut styles yet.</p>
  const { item, style } = chosen
  return (
    <Form onSubmit={(event) => void submit(event)} className={`start-form ${css.form}`} noValidate>
      <StyleChoice
        items={open}
        item={item}
        style={style}
        chosen={fields.chosen}
        units={fields.units}
        rhythm={fields.rhythm}
        onStyle={chooseStyle}
        onChosen={(next) => form.setValue('chosen', next)}
        onRhythm={(next) => form.setValue('rhythm', next)}
      />
      {props.planned ? null : <LotChoice item={item} lotId={props.lot?.lot.id ?? null} />}
      <FormNumber
        key={`units-${style.id}`}
        control={form.control}
        name="units"
        label={`How many ${item.unitName.many}`}
        min={1}
      />
      <Weights state={state} item={item} isDrainedAtBench={style.piles.some((pile) => pile.kind === 'liquid')} />
      <Prices state={state} styleId={style.id} />
      <Form.Group controlId="start-supplier">
        <Form.Label>Supplier</Form.Label>
        <Form.Control maxLength={120} {...form.register('supplier')} />
      </Form.Group>
      <Form.Group controlId="start-cook">
        <Form.Label>Cook</Form.Label>
        <Form.Select {...form.register('cookId')}>
          {props.cooks.map((cook) => (
            <option key={cook.id} value={cook.id}>
              {cook.name}
            </option>
          ))}
          <option value="">Unassigned</option>
        </Form.Select>
      </Form.Group>
      {props.lot?.lot.standing === 'quarantined' ? <QuarantineReason state={state} /> : null}
      <StartBounds key={`bounds-${style.id}`} form={form} style={style} />
      <SetUpList said={fields} item={item} style={style} />
      <StartLoads said={fields} item={item} style={style} />
      <StartDoubts
        fields={fields}
        item={item}
        lastPrice={state.lastPrice}
        onMeant={(grams) => form.setValue('invoiceWeight', grams, { shouldValidate: true })}
      />
      <div className={`wide ${css.startNow}`}>
        <Button type="submit" className="main-action" disabled={start.isPending}>
          Start weighing
        </Button>
      </div>
      {Object.keys(form.formState.errors).length > 0 ? (
        <p className="refusal wide" role="alert">
          Check the highlighted fields.
        </p>
      ) : null}
      {start.isError ? <Failed error={start.error} /> : null}
    </Form>
  )
}

/** A lot in quarantine is cut from with a reason and a name, or not at all. */
function QuarantineReason({ state: { form } }: { state: StartFormState }) {
  const { errors } = form.formState
  return (
    <Form.Group controlId="start-lot-reason" className="wide">
      <Form.Label>This lot is in quarantine: why is it cut from?</Form.Label>
      <Form.Control isInvalid={errors.lotReason !== undefined} {...form.register('lotReason')} />
      <Form.Text className="refusal">{errors.lotReason?.message ?? errors.cookId?.message}</Form.Text>
    </Form.Group>
  )
}

interface WeightsProps {
  state: StartFormState
  item: StartFormProps['items'][number]
  /** Where draining is a step, the liquid is weighed there, on a pile of its own. */
  isDrainedAtBench: boolean
}

function Weights({ state: { form, isEstimated }, item, isDrainedAtBench }: WeightsProps) {
  const format = useFormat()
  const [unit, setUnit] = useState<WeightUnit | null>(null)
  const bare = unit === null ? {} : { bareUnit: unit }
  return (
    <>
      <FormWeight
        control={form.control}
        name="invoiceWeight"
        label="Weight on the invoice"
        hint={
          isEstimated
            ? `estimated, about ${format.weight(item.unitWeight.usual)} each: type what the invoice says`
            : `one ${item.unitName.one} is usually about ${format.weight(item.unitWeight.usual)}`
        }
        onUnit={setUnit}
      />
      <FormWeight
        control={form.control}
        name="receivedWeight"
        label="Weight received"
        hint="as on the invoice, unless you weigh it"
        {...bare}
      />
      {isDrainedAtBench ? null : (
        <FormWeight
          control={form.control}
          name="purge"
          label="Liquid drained"
          hint="none, unless you weigh it"
          {...bare}
        />
      )}
    </>
  )
}

function Prices({ state: { form, hasLast }, styleId }: { state: StartFormState; styleId: string }) {
  const { currency } = useKitchen()
  return (
    <>
      <PriceText key={`price-${styleId}`} form={form} hasLast={hasLast} />
      <Form.Group controlId="start-per">
        <Form.Label>Price is</Form.Label>
        <Form.Select {...form.register('per')}>
          <PriceUnitOptions />
        </Form.Select>
      </Form.Group>
      <FormNumber
        key={`extras-${styleId}`}
        control={form.control}
        name="extras"
        label={`Delivery and charges, ${currency}`}
      />
    </>
  )
}
