import { addressOf } from '@fleam/contract/client'
import { styleOperations } from '@fleam/contract/style/operations'
import type { Item, Style } from '@fleam/core/style'
import { type Chosen, settleStyle } from '@fleam/core/style'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useLocation, useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useArchiveStyle, useCreateStyle } from '../../data/style-queries.ts'
import { AnimalDrawing } from '../../parts/animal-drawing.tsx'
import { Failed } from '../../parts/states.tsx'
import { WithStyle } from '../../parts/with-style.tsx'
import { copyOfStyle, ownName } from './style-draft.ts'
import { StyleOptions } from './style-options.tsx'
import css from './style-page.module.css'
import { StylePiles } from './style-piles.tsx'
import { StyleSteps } from './style-steps.tsx'

/** One cut style: what comes off, in which order, and where good cooks differ. */
export const Component = () => (
  <WithStyle>{(item, style) => <StyleRoom key={style.id} item={item} style={style} />}</WithStyle>
)

function StyleRoom({ item, style }: { item: Item; style: Style }) {
  const { said = null } = (useLocation().state ?? {}) as { said?: string | null }
  const [chosen, setChosen] = useState<Chosen>({})
  const [stepAt, setStepAt] = useState(0)
  const settled = settleStyle(style, chosen)
  const step = settled.steps[Math.min(stepAt, settled.steps.length - 1)]
  const regions = settled.piles.flatMap((pile) => (pile.region && step?.pileIds.includes(pile.id) ? [pile.region] : []))
  return (
    <div className="room guide-style">
      <div className="room-heading">
        <h1>
          {item.name} <span className="quiet">for</span> {style.name.toLowerCase()}
          {style.isArchived ? <span className="quiet"> · archived</span> : null}
        </h1>
        <StyleActions item={item} style={style} />
      </div>
      {said === null ? null : <p role="status">{said}</p>}
      <div className={css.guideColumns}>
        <section aria-label="Where to cut">
          <AnimalDrawing
            name={item.drawing}
            cut={step?.cut ?? null}
            regions={regions}
            label={step ? `Where: ${step.title}` : 'The animal'}
          />
          {item.landmarks.length > 0 ? (
            <>
              <h2>Look for</h2>
              <ul>
                {item.landmarks.map((landmark) => (
                  <li key={landmark}>{landmark}</li>
                ))}
              </ul>
            </>
          ) : null}
          <StyleOptions style={style} chosen={chosen} onChosen={setChosen} />
        </section>
        <StyleSteps
          steps={settled.steps}
          piles={settled.piles}
          at={stepAt}
          onStep={setStepAt}
          where={{ itemId: item.id, styleId: style.id }}
        />
      </div>
      <StylePiles settled={settled} usual={item.unitWeight.usual} unit={item.unitName.one} />
    </div>
  )
}

function StyleActions({ item, style }: { item: Item; style: Style }) {
  const { id: kitchenId } = useKitchen()
  const navigate = useNavigate()
  const add = useCreateStyle()
  const archive = useArchiveStyle()
  const copy = () => {
    const copied = copyOfStyle(style, newId, ownName(style.name, item.styles))
    add.mutate({ itemId: item.id, style: copied }, { onSuccess: () => navigate(`/guide/${copied.id}/change`) })
  }
  return (
    <>
      <Link className="btn btn-primary" to={`/guide/${style.id}/change`}>
        Change it
      </Link>
      <Button variant="outline-dark" disabled={add.isPending} onClick={copy}>
        Copy it
      </Button>
      <Button
        variant="outline-dark"
        disabled={archive.isPending}
        onClick={() => archive.mutate({ styleId: style.id, isArchived: !style.isArchived })}
      >
        {style.isArchived ? 'Use it again' : 'Archive it'}
      </Button>
      <a
        className="btn btn-outline-dark"
        href={addressOf(styleOperations.exportStyle, { kitchenId, styleId: style.id })}
        download
      >
        Export
      </a>
      <Link className="btn btn-outline-dark" to={`/card/${style.id}`}>
        Blank card
      </Link>
      {add.isError || archive.isError ? <Failed error={add.error ?? archive.error} /> : null}
    </>
  )
}
