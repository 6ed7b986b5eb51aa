import type { WholeForm } from '@fleam/core/buying'
import type { Item } from '@fleam/core/style'
import { Link } from 'react-router-dom'
import { useFormsOfItem } from '../data/buying-queries.ts'
import { useItems } from '../data/queries.ts'
import { SearchChoice } from './search-choice.tsx'
import { Empty, Failed, Loading } from './states.tsx'

interface ItemChoiceProps {
  itemId: string
  onChoose: (itemId: string) => void
}

/** What is bought whole. */
export function ItemChoice({ itemId, onChoose }: ItemChoiceProps) {
  const items = (useItems().data ?? []).filter((item) => !item.isArchived)
  return <SearchChoice label="Bought whole" choices={items} value={itemId} onChoose={onChoose} />
}

interface WithFormsProps {
  itemId: string
  children: (forms: readonly WholeForm[]) => React.ReactNode
}

/** The priced forms of an item; says what to do where there are none. */
export function WithForms({ itemId, children }: WithFormsProps) {
  const forms = useFormsOfItem(itemId)
  if (forms.isError) return <Failed error={forms.error} retry={() => void forms.refetch()} />
  if (!forms.data) return <Loading what="the prices" />
  if (forms.data.length > 0) return children(forms.data)
  return (
    <Empty title="No supplier has a price for it yet">
      <p>
        <Link to="/buying/prices">Add a price</Link> or <Link to="/buying/lists">import a price list</Link>.
      </p>
    </Empty>
  )
}

/** The first item that is not archived. */
export const firstItem = (items: readonly Item[] | undefined) => items?.find((item) => !item.isArchived)?.id ?? ''
