import { CAUTIONS, type Caution, DEFERS_TO } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useItems } from '../../data/queries.ts'
import { useCautionOverrides, useUpdateCautions } from '../../data/style-queries.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { CautionForm } from './caution-form.tsx'
import css from './cautions-page.module.css'
import guideCss from './guide.module.css'

/** Every caution with where it stands; the kitchen's own plan may say otherwise somewhere, with a reason. */
export function Component() {
  const overrides = useCautionOverrides()
  if (!overrides.data) return overrides.isError ? <Failed error={overrides.error} /> : <Loading what="the cautions" />
  return (
    <div className={`room ${css.guideCautionsPage}`}>
      <h1>Cautions</h1>
      <p>
        {DEFERS_TO} Where your kitchen’s approved plan says otherwise, write it here with the reason, and what it holds
        for.
      </p>
      <ul>
        {CAUTIONS.map((caution) => (
          <CautionEntry
            key={caution.id}
            caution={caution}
            overrides={overrides.data.filter((row) => row.cautionId === caution.id)}
          />
        ))}
      </ul>
    </div>
  )
}

const PLACE_WORDS = {
  step: 'at a step',
  board: 'beside the board',
  receiving: 'at receiving',
  cooking: 'in cooking notes',
  label: 'on labels',
} as const

const scopeOf = ({ itemId, styleId, step }: CautionOverride) => [itemId, styleId, step].join(' ')

interface CautionEntryProps {
  caution: Caution
  /** The kitchen's own words for it, each with what it holds for. */
  overrides: readonly CautionOverride[]
}

function CautionEntry({ caution, overrides }: CautionEntryProps) {
  // What is edited: one that is there, or a new one.
  const [edited, setEdited] = useState<CautionOverride | 'new' | null>(null)
  const { words } = useFormat()
  return (
    <li>
      <p>{words(caution.text)}</p>
      <p className="quiet">
        Stands {caution.places.map((place) => PLACE_WORDS[place]).join(', ')} · {caution.source}
      </p>
      {overrides.map((override) => (
        <OwnWords key={scopeOf(override)} override={override} onEdit={() => setEdited(override)} />
      ))}
      {edited ? (
        <CautionForm
          key={edited === 'new' ? 'new' : scopeOf(edited)}
          caution={caution}
          override={edited === 'new' ? null : edited}
          onDone={() => setEdited(null)}
        />
      ) : (
        <div className={guideCss.guideActions}>
          <Button
            size="sm"
            variant="outline-dark"
            aria-label={`Our plan says otherwise: ${words(caution.text)}`}
            onClick={() => setEdited('new')}
          >
            Our plan says otherwise
          </Button>
        </div>
      )}
    </li>
  )
}

interface OwnWordsProps {
  override: CautionOverride
  onEdit: () => void
}

/** The kitchen's own words, and where they hold. */
function OwnWords({ override, onEdit }: OwnWordsProps) {
  const { restore } = useUpdateCautions()
  const { words } = useFormat()
  const where = useScopeWords(override)
  return (
    <div className="own-words">
      <p className={css.overridden}>{words(override.text)}</p>
      <p className="quiet">
        Our own plan, for {where}: {override.reason}
      </p>
      <div className={guideCss.guideActions}>
        <Button size="sm" variant="outline-dark" aria-label={`Change our words for ${where}`} onClick={onEdit}>
          Change
        </Button>
        <Button
          size="sm"
          variant="outline-dark"
          aria-label={`Back to the default for ${where}`}
          onClick={() => restore.mutate(override)}
        >
          Back to the default
        </Button>
      </div>
    </div>
  )
}

/** What a kitchen's own words hold for, as one reads it. */
function useScopeWords({ itemId, styleId, step }: CautionOverride): string {
  const items = useItems().data ?? []
  const styles = items.flatMap((item) => item.styles.map((style) => ({ item, style })))
  const of = styles.find(({ style }) => style.id === styleId)
  if (of && step !== null) {
    const title = of.style.steps.find((other) => other.id === step)?.title ?? 'a step'
    return `${title.toLowerCase()}, in ${of.style.name.toLowerCase()}`
  }
  if (of) return `${of.item.name}: ${of.style.name.toLowerCase()}`
  if (itemId !== null) return items.find(({ id }) => id === itemId)?.name ?? 'an item'
  return 'everything in this kitchen'
}
