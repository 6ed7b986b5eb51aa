import './figure.css'
import { type Explanation, evaluate, explain, type FigureRef, word } from '@fleam/core'
import { useState } from 'react'
import OverlayTrigger from 'react-bootstrap/OverlayTrigger'
import Popover from 'react-bootstrap/Popover'
import { useAppraised } from './appraised-context.ts'
import type { Format } from './use-format.ts'

interface FigureProps {
  /** Which figure of the appraisal it is; its formula opens on touch. */
  of: FigureRef
  /** The figure worded for the reader. */
  children: string
  className?: string
}

/** A figure that opens to its formula with its own numbers in it. */
export function Figure({ of, children, className = '' }: FigureProps) {
  const { document, appraisal, format } = useAppraised()
  return (
    <OpenFigure explain={() => explain(document, appraisal, of)} format={format} className={className}>
      {children}
    </OpenFigure>
  )
}

interface OpenFigureProps {
  /** How the figure is worked out; asked for when somebody opens it. Null where it does not apply. */
  explain: () => Explanation | null
  format: Format
  children: string
  className?: string
}

/** Any figure with a formula, also where no document is appraised. */
export function OpenFigure({ explain: explanation, format, children, className = '' }: OpenFigureProps) {
  const [isOpen, setOpen] = useState(false)
  const overlay = (
    <Popover className="formula">
      <FormulaBody explanation={isOpen ? explanation() : null} format={format} />
    </Popover>
  )
  return (
    <OverlayTrigger trigger="click" rootClose placement="auto" overlay={overlay} show={isOpen} onToggle={setOpen}>
      <button type="button" className={`figure ${className}`} aria-expanded={isOpen}>
        {children}
      </button>
    </OverlayTrigger>
  )
}

/** More terms than this are summed up: nobody reads forty pieces in a formula. */
const MOST_TERMS = 14

function FormulaBody({ explanation, format }: { explanation: Explanation | null; format: Format }) {
  if (!explanation) return <Popover.Body>This does not apply here.</Popover.Body>
  const { title, expression, quantity, note } = explanation
  const isLong = expression.kind === 'sum' && expression.terms.length > MOST_TERMS
  const names = isLong ? `sum of ${expression.terms.length}` : word(expression, (each) => each.name)
  const numbers = word(expression, (each) => format.formula(each.value, each.quantity))
  return (
    <Popover.Body>
      <h3>{title}</h3>
      <p className="formula-names">= {names}</p>
      <p className="formula-numbers">
        = {numbers}
        <br />= <strong>{format.quantity(evaluate(expression), quantity)}</strong>
      </p>
      {note ? <p className="formula-note">{note}</p> : null}
    </Popover.Body>
  )
}

interface MaybeFigureProps {
  of: FigureRef
  value: number | null
  word: (value: number) => string
  className?: string
}

/** A figure, or a dash where it does not apply. */
export function MaybeFigure({ of, value, word: wordOf, className }: MaybeFigureProps) {
  if (value === null) return <span className="none">–</span>
  return (
    <Figure of={of} {...(className ? { className } : {})}>
      {wordOf(value)}
    </Figure>
  )
}
