import type { ArticlePrice } from '@fleam/core/price-lists'
import { parsePriceText } from '@fleam/core/units'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { useUpdatePrice } from '../../data/buying-queries.ts'
import { FormDay } from '../../parts/form-fields.tsx'
import { Failed } from '../../parts/states.tsx'

const isDay = /^\d{4}-\d{2}-\d{2}$/
const fields = z
  .object({
    amount: z.string().refine((text) => parsePriceText(text) !== null, 'This is not a price.'),
    from: z.string().regex(isDay, 'Which day?'),
    until: z.string().regex(isDay, 'Which day?').or(z.literal('')),
    why: z.string().trim().min(1, 'Say why, in a word or two.').max(200, 'At most 200 letters.'),
  })
  .refine(({ from, until }) => until === '' || until >= from, { path: ['until'], error: 'It ends before it begins.' })

interface PriceCorrectionProps {
  articleId: string
  price: ArticlePrice
  /** Struck out, with nothing in its place. */
  isStruck: boolean
  onClose: () => void
}

/** A price is put right, or struck out; either way it says why. */
export function PriceCorrection({ articleId, price, isStruck, onClose }: PriceCorrectionProps) {
  const correct = useUpdatePrice(articleId)
  const { register, handleSubmit, formState, control } = useForm<z.infer<typeof fields>>({
    resolver: zodResolver(fields),
    defaultValues: { amount: String(price.price.amount), from: price.from, until: price.until ?? '', why: '' },
  })
  const save = handleSubmit(({ amount, from, until, why }) => {
    const { pieceWeight, packPieces, packWeight, delivery, minimumOrder } = price
    const read = parsePriceText(amount)
    const other = { amount: read?.amount ?? price.price.amount, per: read?.per ?? price.price.per }
    const size = { pieceWeight, packPieces, packWeight, delivery, minimumOrder }
    const replacement = isStruck ? null : { ...size, price: other, from, until: until || null }
    correct.mutate({ priceId: price.id, why, replacement }, { onSuccess: onClose })
  })
  const field = (name: keyof z.infer<typeof fields>, label: string) => (
    <Form.Group controlId={`correct-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Control autoComplete="off" isInvalid={formState.errors[name] !== undefined} {...register(name)} />
      <Form.Text className="refusal">{formState.errors[name]?.message}</Form.Text>
    </Form.Group>
  )
  return (
    <Modal show onHide={onClose} aria-labelledby="correct-title" centered>
      <Modal.Header closeButton>
        <Modal.Title id="correct-title" as="h2">
          {isStruck ? 'Delete this price' : 'Edit this price'}
        </Modal.Title>
      </Modal.Header>
      <Form onSubmit={(event) => void save(event)} noValidate>
        <Modal.Body className="form-grid">
          {isStruck ? null : (
            <>
              {field('amount', `Price per ${price.price.per}`)}
              <FormDay control={control} name="from" label="From" />
              <FormDay control={control} name="until" label="Until" hint="empty: the next one" />
            </>
          )}
          {field('why', 'Why')}
          {correct.isError ? <Failed error={correct.error} /> : null}
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-dark" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" className="main-action" disabled={correct.isPending}>
            {isStruck ? 'Delete' : 'Save'}
          </Button>
        </Modal.Footer>
      </Form>
    </Modal>
  )
}
