import type { CutPile, CutStyle, NamedStep } from './cut-style.ts'
import { optionsLedTo } from './pile-references.ts'

/** A pile as a document has it. */
export type NamedPile = Omit<CutPile, 'id'>

/** A style as a document has it, in a file or in the catalogue: no ids; steps, gains and shares name the piles. */
export interface NamedStyle<P extends NamedPile = NamedPile> extends Omit<CutStyle, 'piles' | 'steps'> {
  piles: readonly P[]
  steps: readonly NamedStep[]
}

/** The parts of a style that refer to piles. */
type Parts<P extends CutPile> = Pick<CutStyle<P>, 'piles' | 'steps' | 'options'>

/**
 * Resolves the names of a style from a document: each pile gets an id, and what named it refers to that.
 * @throws RangeError where a name fits no pile; a document is checked for that before.
 */
export function partsOfNamed<P extends NamedPile>(
  { piles, steps, options }: Pick<NamedStyle<P>, 'piles' | 'steps' | 'options'>,
  newId: () => string,
): Parts<P & CutPile> {
  const withIds = piles.map((pile) => ({ ...pile, id: newId() }))
  const idOf = (name: string) => {
    const pile = withIds.find((row) => row.name === name)
    if (!pile) throw new RangeError(`'${name}' is not a pile of this style`)
    return pile.id
  }
  return {
    piles: withIds,
    steps: steps.map(({ piles: names, gain, ...step }) => ({
      ...step,
      pileIds: names.map(idOf),
      gain: gain && { pileId: idOf(gain.pile), grams: gain.grams, seconds: gain.seconds },
    })),
    options: optionsLedTo(options, idOf),
  }
}

/** The same for a document: what refers to a pile names it, and piles have no ids. */
export function namedPartsOf<P extends CutPile>({ piles, steps, options }: Parts<P>) {
  const nameOf = (id: string) => piles.find((pile) => pile.id === id)?.name ?? null
  return {
    piles: piles.map(({ id: _id, ...pile }) => pile),
    steps: steps.map(({ pileIds, gain, ...step }): NamedStep => {
      const gaining = gain && nameOf(gain.pileId)
      return {
        ...step,
        piles: pileIds.flatMap((id) => nameOf(id) ?? []),
        gain: gain && gaining ? { pile: gaining, grams: gain.grams, seconds: gain.seconds } : null,
      }
    }),
    options: optionsLedTo(options, nameOf),
  }
}
