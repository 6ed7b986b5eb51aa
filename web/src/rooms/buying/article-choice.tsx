import Form from 'react-bootstrap/Form'
import type { UseFormReturn } from 'react-hook-form'
import { useProducts } from '../../data/buying-queries.ts'
import { useItems } from '../../data/queries.ts'
import { SearchChoice } from '../../parts/search-choice.tsx'
import type { PriceFields } from './price-fields.ts'

/** What a supplier sells: its name and number there, and what it is here. */
export function ArticleChoice({
  form,
}: {
  form: Pick<UseFormReturn<PriceFields>, 'register' | 'watch' | 'setValue' | 'formState'>
}) {
  const { register, watch, setValue, formState } = form
  const items = useItems().data ?? []
  const products = useProducts().data ?? []
  const kind = watch('kind')
  return (
    <>
      <Form.Group controlId="price-code">
        <Form.Label>Their number</Form.Label>
        <Form.Control {...register('code')} />
      </Form.Group>
      <Form.Group controlId="price-name">
        <Form.Label>Article</Form.Label>
        <Form.Control isInvalid={formState.errors.name !== undefined} {...register('name')} />
        <Form.Text className="refusal">{formState.errors.name?.message}</Form.Text>
      </Form.Group>
      <Form.Group controlId="price-kind">
        <Form.Label>It is</Form.Label>
        <Form.Select
          {...register('kind', {
            onChange: () => {
              setValue('itemId', null)
              setValue('productId', null)
            },
          })}
        >
          <option value="whole">cut here</option>
          <option value="ready">bought ready</option>
        </Form.Select>
      </Form.Group>
      {kind === 'whole' ? (
        <SearchChoice
          label="Cut as"
          placeholder="nothing yet"
          choices={items}
          value={watch('itemId')}
          onChoose={(id) => setValue('itemId', id)}
        />
      ) : (
        <SearchChoice
          label="Served as"
          placeholder="nothing yet"
          choices={products}
          value={watch('productId')}
          onChoose={(id) => setValue('productId', id)}
        />
      )}
    </>
  )
}
