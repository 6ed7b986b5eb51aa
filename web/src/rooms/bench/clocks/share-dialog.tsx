import { WHOLE_WORDS } from '@fleam/catalogue'
import { labourClocks } from '@fleam/core/fabrication'
import { stepMinutes } from '@fleam/core/style'
import { givenSteps, type LinePart, lineParts, unitsOfCooks } from '@fleam/core/weighing'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { useCooks } from '../../../data/queries.ts'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './share-dialog.module.css'

interface ShareDialogProps {
  bench: Bench
  onClose: () => void
}

/** Two ways to share a batch among those who are at it: each their own birds, or a line in which each has some steps. */
export default function ShareDialog({ bench, onClose }: ShareDialogProps) {
  const { live } = bench
  const { data: cooks = [] } = useCooks()
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() => atWork(bench))
  const team = cooks.filter(({ id }) => chosen.has(id))
  const toggle = (id: string) =>
    setChosen((before) => new Set(before.has(id) ? [...before].filter((chosenId) => chosenId !== id) : [...before, id]))
  const ways = [
    <TheirOwn key="own" live={live} team={team} onClose={onClose} />,
    <Line key="line" live={live} team={team} onClose={onClose} />,
  ]
  return (
    <Modal show onHide={onClose} aria-labelledby="share-title" centered scrollable size="lg">
      <Modal.Header closeButton>
        <Modal.Title id="share-title" as="h2">
          Who does what
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <fieldset className={css.team} aria-label="Who works on it">
          {cooks.map(({ id, name }) => (
            <Button key={id} variant="outline-dark" aria-pressed={chosen.has(id)} onClick={() => toggle(id)}>
              {name}
            </Button>
          ))}
        </fieldset>
        {team.length < 2 ? (
          <p>Choose at least two cooks.</p>
        ) : (
          <div className={css.ways}>{live.record.rhythm === 'step' ? ways.reverse() : ways}</div>
        )}
      </Modal.Body>
    </Modal>
  )
}

/** Those whose clocks have run here, who have steps, whose job it is and whose device this is. */
function atWork({ live, settings }: Bench): ReadonlySet<string> {
  const timed = labourClocks(live.marks, live.nowMs).map(({ cookId }) => cookId)
  const ids = [...timed, ...givenSteps(live.marks).values(), live.record.cookId, settings.cookId]
  return new Set(ids.filter((id): id is string => id !== null))
}

interface WayProps {
  live: LiveFabrication
  team: readonly { id: string; name: string }[]
  onClose: () => void
}

function TheirOwn({ live, team, onClose }: WayProps) {
  const { units, species } = live.record
  const shares = unitsOfCooks(units, team.length)
  const share = async () => {
    for (const step of givenSteps(live.marks).keys()) {
      await live.mark('steps are anybody’s', { mark: 'step-given', step, cookId: null })
    }
    onClose()
  }
  return (
    <section>
      <h3>Each their own {species === null ? 'pieces' : `${WHOLE_WORDS[species]}s`}</h3>
      <ul>
        {team.map(({ id, name }, index) => (
          <li key={id}>
            <strong>{name}</strong> {shares[index]}
          </li>
        ))}
      </ul>
      <p className="quiet">Each cook takes out a load and cuts it from the first step to the last.</p>
      <Button className="main-action" onClick={() => void share()}>
        Each their own
      </Button>
    </section>
  )
}

function Line({ live, team, onClose }: WayProps) {
  const { words } = useFormat()
  const { steps } = live.record
  const minutes = stepMinutes(steps, 0)
  const isKnown = steps.every((step) => step.minutes !== null)
  const parts = lineParts(
    steps.map(({ id }, index) => ({ id, minutes: minutes[index] as number })),
    team.map(({ id }) => id),
  )
  const titleOf = (id: string | undefined) => words(steps.find((step) => step.id === id)?.title ?? '')
  const share = async () => {
    const given = givenSteps(live.marks)
    for (const { cookId, steps: own } of parts) {
      for (const step of own.filter((id) => given.get(id) !== cookId)) {
        await live.mark(`${titleOf(step)}: ${live.cookName(cookId) ?? 'another cook'}`, {
          mark: 'step-given',
          step,
          cookId,
        })
      }
    }
    onClose()
  }
  return (
    <section>
      <h3>As a line</h3>
      <ul>
        {parts.map((part) => (
          <li key={part.cookId}>
            <strong>{team.find(({ id }) => id === part.cookId)?.name}</strong> {partWords(part, titleOf)}
          </li>
        ))}
      </ul>
      <p className="quiet">
        {isKnown
          ? 'Parts are as long as each other, as far as the steps let them be.'
          : 'Parts are about as long as each other; nobody has said how long some of the steps take.'}{' '}
        Change it under “All steps”.
      </p>
      <Button className="main-action" disabled={steps.length < 2} onClick={() => void share()}>
        Work as a line
      </Button>
    </section>
  )
}

/** The steps of a part by the names of the first and the last. */
function partWords({ steps }: LinePart, titleOf: (id: string | undefined) => string): string {
  const [first, last] = [titleOf(steps[0]), titleOf(steps.at(-1))]
  return steps.length === 1 ? first : `${first} to ${last} (${steps.length} steps)`
}
