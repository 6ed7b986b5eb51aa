import { type Explanation, evaluate, explain, type FigureRef, word } from '@fleam/core/explanation'
import { moreDigits } from '@fleam/core/wording'
import { type ReactNode, useRef, useState } from 'react'
import Overlay from 'react-bootstrap/Overlay'
import Popover from 'react-bootstrap/Popover'
import { useAppraised } from './appraised-context.ts'
import css from './figure.module.css'
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
  return (
    <Opening className={className} body={<AppraisedFormula of={of} shown={children} />}>
      {children}
    </Opening>
  )
}

/** The formula as the document is now: while it is open it follows what is changed. */
function AppraisedFormula({ of, shown }: { of: FigureRef; shown: string }) {
  const { document, appraisal, format } = useAppraised()
  return <FormulaBody explanation={explain(document, appraisal, of)} format={format} shown={shown} />
}

interface OwnFormulaProps {
  explain: () => Explanation | null
  format: Format
  shown: string
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
  return (
    <Opening className={className} body={<OwnFormula explain={explanation} format={format} shown={children} />}>
      {children}
    </Opening>
  )
}

const OwnFormula = ({ explain: explanation, format, shown }: OwnFormulaProps) => (
  <FormulaBody explanation={explanation()} format={format} shown={shown} />
)

interface ExplainedProps {
  explanation: Explanation | null
  format: Format
  className?: string
}

/** A figure that is worked out from its own formula, or a dash where it does not apply. */
export function Explained({ explanation, format, className = '' }: ExplainedProps) {
  if (!explanation) return <span className="none">–</span>
  return (
    <OpenFigure explain={() => explanation} format={format} className={className}>
      {format.quantity(evaluate(explanation.expression), explanation.quantity)}
    </OpenFigure>
  )
}

interface OpeningProps {
  className: string
  /** Drawn only while it is open: a verdict has hundreds of figures. */
  body: ReactNode
  children: string
}

/** A figure as a button with its formula over it. */
function Opening({ className, body, children }: OpeningProps) {
  const [isOpen, setOpen] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  return (
    <>
      <button
        type="button"
        ref={button}
        className={`${css.figure} ${className}`}
        aria-expanded={isOpen}
        onClick={() => setOpen((before) => !before)}
      >
        {children}
      </button>
      {isOpen ? (
        <Overlay
          show
          target={button}
          placement="bottom"
          rootClose
          rootCloseEvent="mousedown"
          onHide={(event) => {
            // The figure itself closes on its own click; a key is of whatever has the focus, which it mostly is.
            if ('key' in event || !button.current?.contains(event.target as Node)) setOpen(false)
          }}
        >
          <Popover className={css.formula}>{body}</Popover>
        </Overlay>
      ) : null}
    </>
  )
}

/** More terms than this are summed up: nobody reads forty pieces in a formula. */
const MAX_TERMS = 14

interface FormulaBodyProps {
  explanation: Explanation | null
  format: Format
  /** The figure as it stands on the screen. */
  shown: string
}

/** Digits of a sum of money, whatever its sign. */
const amountIn = (words: string) => words.replace(/^[\u2212-]/, '')

/**
 * Parts are rounded so that they add up to the total that is shown: a part may stand there a cent away from what it is
 * alone, and whoever opens it is told so.
 */
function isMovedByRounding(own: string, shown: string): boolean {
  const letters = (words: string) => words.replace(/\d+/g, '0')
  return amountIn(own) !== amountIn(shown) && letters(amountIn(own)) === letters(amountIn(shown))
}

function FormulaBody({ explanation, format, shown }: FormulaBodyProps) {
  if (!explanation) return <Popover.Body>This does not apply here.</Popover.Body>
  const { title, expression, quantity, note } = explanation
  const isLong = expression.kind === 'sum' && expression.terms.length > MAX_TERMS
  const resultOf = (result: number) => format.quantity(result, quantity)
  const result = resultOf(evaluate(expression))
  const more = moreDigits(expression, resultOf, format)
  const formula = format.expression(expression)
  const names = isLong ? `sum of ${expression.terms.length}` : format.words(word(formula, (entry) => entry.name))
  const numbers = word(
    formula,
    (entry) => format.formula(entry.value, entry.quantity, more),
    (value) => format.typed(value),
  )
  return (
    <Popover.Body>
      <h3>{format.words(title)}</h3>
      <p className={css.formulaNames}>= {names}</p>
      <p className={css.formulaNumbers}>
        = {numbers}
        <br />= <strong>{result}</strong>
      </p>
      {quantity === 'money' && isMovedByRounding(result, shown) ? (
        <p className={css.formulaNote}>Shown as {shown}, so that the parts add up to their total.</p>
      ) : null}
      {note ? <p className={css.formulaNote}>{format.words(note)}</p> : null}
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
