import type { Item, Style } from '@fleam/core/style'
import type { ReactNode } from 'react'
import { Link, useParams } from 'react-router-dom'
import { useItems } from '../data/queries.ts'
import { Empty, Failed, Loading } from './states.tsx'

interface WithStyleProps {
  children: (item: Item, style: Style) => ReactNode
}

/** The cut style that the address names, with its item; says so where there is none. */
export function WithStyle({ children }: WithStyleProps) {
  const { styleId = '' } = useParams()
  const items = useItems()
  if (!items.data) return items.isError ? <Failed error={items.error} /> : <Loading what="the style" />
  const item = items.data.find((row) => row.styles.some((style) => style.id === styleId))
  const style = item?.styles.find((style) => style.id === styleId)
  if (item && style) return children(item, style)
  return (
    <Empty title="There is no such cut style">
      <Link to="/guide">Go to the guide</Link>
    </Empty>
  )
}
