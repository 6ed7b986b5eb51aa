import Modal from 'react-bootstrap/Modal'
import benchCss from './bench.module.css'
import css from './keys-help.module.css'

const KEYS = [
  ['1 – 9', 'choose the pile; a settled weight goes onto it'],
  ['Enter or Space', 'take the weight onto the chosen pile'],
  ['T', 'tare'],
  ['U', 'undo what you did last; Shift and U do it again'],
  ['N', 'done, next step'],
  ['g, then a letter', 'another room: t Today, b Bench, v Verdict'],
  ['number pad', '+ next step, − undo, 0 tare, × type a weight, ÷ step before, , finish'],
  ['?', 'this list'],
] as const

interface KeysHelpProps {
  isOpen: boolean
  onOpen: () => void
  onClose: () => void
}

export function KeysHelp({ isOpen, onOpen, onClose }: KeysHelpProps) {
  return (
    <>
      <button type="button" className={benchCss.keysButton} onClick={onOpen}>
        Keys <kbd>?</kbd>
      </button>
      <Modal show={isOpen} onHide={onClose} aria-labelledby="keys-title" centered>
        <Modal.Header closeButton>
          <Modal.Title id="keys-title" as="h2">
            Keys at the bench
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <dl className={css.keys}>
            {KEYS.map(([key, what]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </Modal.Body>
      </Modal>
    </>
  )
}
