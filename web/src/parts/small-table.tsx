import type { ReactNode } from 'react'
import Table from 'react-bootstrap/Table'

interface HeadOptions {
  words: string
  /** A column of numbers, which stand to the right. */
  isOfNumbers?: boolean
  /** Heard, not seen. */
  isUnseen?: boolean
}
/** The head of a column; null for a column that is left out. */
type Head = string | HeadOptions | null

export const numbers = (words: string): HeadOptions => ({ words, isOfNumbers: true })
export const unseen = (words: string): HeadOptions => ({ words, isUnseen: true })
const optionsOf = (head: string | HeadOptions): HeadOptions => (typeof head === 'string' ? { words: head } : head)

interface SmallTableProps {
  /** Left out where the rows say themselves what they are. */
  heads?: readonly Head[]
  className?: string | undefined
  /** It is scrolled sideways where it is wider than its place. */
  responsive?: boolean
  'aria-label'?: string
  /** Rows. */
  children: ReactNode
}

/** A table of a few rows, which nobody sorts or searches. */
export function SmallTable({ heads, children, className = 'list-table', ...props }: SmallTableProps) {
  const shown = heads?.flatMap((head) => (head === null ? [] : optionsOf(head)))
  return (
    <Table className={className} {...props}>
      {shown ? (
        <thead>
          <tr>
            {shown.map(({ words, isOfNumbers, isUnseen }, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: heads stand still, and several may have no words
              <th key={place} scope="col" className={isOfNumbers ? 'number' : undefined}>
                {isUnseen ? <span className="visually-hidden">{words}</span> : words}
              </th>
            ))}
          </tr>
        </thead>
      ) : null}
      <tbody>{children}</tbody>
    </Table>
  )
}
