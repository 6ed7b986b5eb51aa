import { useRef, useState } from 'react'

interface TypedText {
  text: string
  /** What is typed now, and the value it was read as; null where it is none. */
  type: (text: string, read: number | null) => void
}

/** Values that differ by less are one: percent of a share does not come back to the last digit. */
const isSame = (one: number | null, other: number | null) =>
  one === other || (one !== null && other !== null && Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(other)))

/**
 * The text of a field whose value is a number. It stays as it was typed, digit by digit, and is written anew only where
 * the value is changed by something else: a scale, a price book, another piece.
 */
export function useTypedText(value: number | null, write: (value: number) => string): TypedText {
  const written = (number: number | null) => (number === null ? '' : write(number))
  const [text, setText] = useState(() => written(value))
  const read = useRef(value)
  const before = useRef(value)
  if (before.current !== value) {
    before.current = value
    if (!isSame(value, read.current)) {
      read.current = value
      setText(written(value))
    }
  }
  return {
    text,
    type: (next, number) => {
      read.current = number
      setText(next)
    },
  }
}
