import type { LabourAnswer, LabourDoubt } from '@fleam/core/fabrication'
import { LOSS_CAUSES, type LossCause, likelyCauses, type PileOutcome, type WeighingCheck } from '@fleam/core/weighing'
import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { CAUSE_WORDS } from '../../../parts/cause-words.ts'
import { digitOf, isTyping } from '../../../parts/keys.ts'
import { LabourQuestion } from '../../../parts/labour-question.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { WeightField } from '../../../parts/weight-field.tsx'
import { questionOf } from '../steps/checks-line.tsx'
import { causeByDigit } from './cause-by-digit.ts'
import css from './loss-causes.module.css'

export interface NamedCause {
  pileId: string
  cause: LossCause
}

/** What was answered at the end, as far as anybody did. */
export interface EndAnswers {
  causes: NamedCause[]
  answer: LabourAnswer | null
  /** Grams that the invoice really says; null where it stands. */
  invoiceWeight: number | null
}

interface LossCausesProps {
  outcomes: readonly PileOutcome[]
  /** Clocks that say far less or more than was expected; null where they do not. */
  doubt: LabourDoubt | null
  /** The weight on the invoice cannot be right beside what was weighed; null where it can. */
  invoice: WeighingCheck | null
  /** Grams that were estimated when it began; null where the invoice said them. */
  estimated: number | null
  currency: string
  species: string | null
  isOpen: boolean
  isFinishing: boolean
  onClose: () => void
  onFinish: (answers: EndAnswers) => void
}

/** Asked once at the end: why piles came out otherwise than expected, and which minutes hold. Nobody has to answer. */
export default function LossCauses(props: LossCausesProps) {
  const { outcomes, doubt, invoice, estimated, currency, species, isOpen, isFinishing, onClose, onFinish } = props
  const [causes, setCauses] = useState<readonly NamedCause[]>([])
  const [answer, setAnswer] = useState<LabourAnswer | null>(null)
  const [isInvoiceRight, setInvoiceRight] = useState(false)
  const [invoiceWeight, setInvoiceWeight] = useState<number | null>(null)
  // Piles are held against the invoice: while that is in doubt, nobody is asked about portions.
  const asksPiles = invoice === null || isInvoiceRight
  const format = useFormat(currency)
  const name = (pileId: string, cause: LossCause) =>
    setCauses((before) => [
      ...before.filter((namedCause) => namedCause.pileId !== pileId),
      ...(before.some((namedCause) => namedCause.pileId === pileId && namedCause.cause === cause)
        ? []
        : [{ pileId, cause }]),
    ])
  const keys = useRef({ outcomes, causes, species, name })
  keys.current = { outcomes: asksPiles ? outcomes : [], causes, species, name }
  useEffect(() => {
    if (!isOpen) return
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event)) return
      const { outcomes: now, causes: named, species: kind, name: choose } = keys.current
      const chosen = causeByDigit(digitOf(event), now, named, kind)
      if (chosen) choose(chosen.pileId, chosen.cause)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [isOpen])
  const asked = outcomes.find(({ pile }) => !causes.some((cause) => cause.pileId === pile.id))
  return (
    <Modal show={isOpen} onHide={onClose} size="lg" aria-labelledby="causes-title" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="causes-title" as="h2">
          What happened here?
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className={css.causes}>
        {doubt ? <LabourQuestion doubt={doubt} answer={answer} format={format} onAnswer={setAnswer} /> : null}
        {invoice === null ? null : (
          <InvoiceQuestion
            question={questionOf(invoice, '', format.weight)}
            isRight={isInvoiceRight}
            weight={invoiceWeight}
            onRight={() => {
              setInvoiceRight(true)
              setInvoiceWeight(estimated)
            }}
            onWeight={setInvoiceWeight}
          />
        )}
        {invoice === null && estimated !== null ? (
          <InvoiceQuestion
            question={`What came was estimated at ${format.weight(estimated)}. What does the invoice say?`}
            isRight={invoiceWeight === estimated}
            weight={invoiceWeight}
            onRight={() => setInvoiceWeight(estimated)}
            onWeight={setInvoiceWeight}
          />
        ) : null}
        {(asksPiles ? outcomes : []).map((outcome) => (
          <CausesOf
            key={outcome.pile.id}
            outcome={outcome}
            species={species}
            words={`${format.weight(outcome.grams)}, about ${format.weight(outcome.expected)} expected`}
            chosen={causes.find((cause) => cause.pileId === outcome.pile.id)?.cause ?? null}
            isAsked={outcome === asked}
            onChoose={(cause) => name(outcome.pile.id, cause)}
          />
        ))}
      </Modal.Body>
      <Modal.Footer>
        <Button
          className="main-action"
          autoFocus
          disabled={isFinishing}
          onClick={() => onFinish({ causes: [...causes], answer, invoiceWeight })}
        >
          {causes.length > 0 || answer || invoiceWeight !== null ? 'Keep and finish' : 'Finish without an answer'}
        </Button>
      </Modal.Footer>
    </Modal>
  )
}

interface InvoiceQuestionProps {
  question: string
  isRight: boolean
  /** What it really says, grams; null where nothing is typed. */
  weight: number | null
  onRight: () => void
  onWeight: (grams: number | null) => void
}

/** Asked before anything else: the weight that all shares are of. */
const InvoiceQuestion = ({ question, isRight, weight, onRight, onWeight }: InvoiceQuestionProps) => (
  <fieldset>
    <legend>{question}</legend>
    <div className={css.causeChoices}>
      <button type="button" aria-pressed={isRight} onClick={onRight}>
        It is right
      </button>
      <WeightField label="The invoice says" grams={weight} onChange={onWeight} />
    </div>
  </fieldset>
)

interface CausesOfProps {
  outcome: PileOutcome
  species: string | null
  words: string
  chosen: LossCause | null
  /** Number keys answer for this pile now. */
  isAsked: boolean
  onChoose: (cause: LossCause) => void
}

function CausesOf({ outcome, species, words, chosen, isAsked, onChoose }: CausesOfProps) {
  const [isAll, setAll] = useState(false)
  const likely = likelyCauses(outcome, species)
  const shown = isAll ? [...likely, ...LOSS_CAUSES.filter((cause) => !likely.includes(cause))] : likely
  return (
    <fieldset>
      <legend>
        {outcome.side === 'less' ? 'Less' : 'More'} {outcome.pile.name} than expected{' '}
        <span className="quiet">{words}</span>
      </legend>
      <div className={css.causeChoices}>
        {shown.map((cause, index) => (
          <button key={cause} type="button" aria-pressed={cause === chosen} onClick={() => onChoose(cause)}>
            {isAsked && index < likely.length ? <kbd>{index + 1}</kbd> : null} {CAUSE_WORDS[cause]}
          </button>
        ))}
        {isAll ? null : (
          <button type="button" className="quiet" onClick={() => setAll(true)}>
            another cause …
          </button>
        )}
      </div>
    </fieldset>
  )
}
