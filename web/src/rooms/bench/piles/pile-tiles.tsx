import type { PileResult } from '@fleam/core/costing'
import { expectedWeight, type PlannedPile } from '@fleam/core/fabrication'
import { useMemo } from 'react'
import { useAppraised } from '../../../parts/appraised-context.ts'
import type { Format } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import { AddPile } from './pile-buttons.tsx'
import css from './tiles.module.css'

/** One tile a pile: touch it and what lies on the scale goes onto it; with a weighing picked, that one goes there. */
export function PileTiles({ bench }: { bench: Bench }) {
  const { appraisal, format } = useAppraised()
  const { record, standing } = bench.live
  const keptHere = useMemo(
    () => new Set(standing.filter((reading) => reading.isKeptHere).map((reading) => reading.pileId)),
    [standing],
  )
  return (
    <fieldset className={bench.picked ? `${css.tiles} ${css.moving}` : css.tiles} aria-label="Piles">
      {record.piles.map((pile, index) => (
        <PileTile
          key={pile.id}
          pile={pile}
          number={index + 1}
          result={appraisal.piles[index] as PileResult}
          expected={expectedWeight(pile, record.purchase.invoiceWeight)}
          isActive={pile.id === bench.activePile.id}
          isLike={pile.id === bench.likeness?.id}
          isKeptHere={keptHere.has(pile.id)}
          pieceCount={bench.progress.counts.get(pile.id) ?? 0}
          format={format}
          onTouch={() => bench.touchPile(pile.id)}
        />
      ))}
      {record.status === 'open' ? <AddPile live={bench.live} /> : null}
    </fieldset>
  )
}

interface PileTileProps {
  pile: PlannedPile
  number: number
  result: PileResult
  expected: number | null
  isActive: boolean
  /** What lies on the scale looks like one of these. */
  isLike: boolean
  isKeptHere: boolean
  pieceCount: number
  format: Format
  onTouch: () => void
}

function PileTile(props: PileTileProps) {
  const { pile, number, result, expected, isActive, isLike, isKeptHere, pieceCount, format, onTouch } = props
  const hasFill = expected !== null && expected > 0
  return (
    <button type="button" className={`${css.tile} ${css[pile.class] ?? ''}`} aria-pressed={isActive} onClick={onTouch}>
      <span className={css.tileNumber} aria-hidden>
        {number}
      </span>
      <span className={css.tileName}>{pile.name}</span>
      <span className={css.tileWeight}>{format.weight(result.weight)}</span>
      <span className={css.tileNote}>
        {isLike ? <strong>looks like one of these · </strong> : null}
        {hasFill ? `of about ${format.weight(expected)}` : ''}
        {pile.weighing === 'pieces' ? ` · ${piecesWords(pieceCount, pile.portions)}` : ''}
        {isKeptHere ? ' · kept here' : ''}
      </span>
      {hasFill ? (
        <meter
          className={css.tileFill}
          min={0}
          max={expected}
          value={result.weight}
          aria-label={`${pile.name}, against what is expected`}
        />
      ) : null}
    </button>
  )
}

function piecesWords(count: number, expected: number | null): string {
  if (expected !== null) return `${count} of ${expected} pieces`
  return `${count} ${count === 1 ? 'piece' : 'pieces'}`
}
