/** Something that was done at the bench with one touch: the facts that it made, whose it is, and what it is called. */
export interface Act {
  factIds: readonly string[]
  /** Whose act it is; null where nobody said. */
  actorId: string | null
  words: string
}

/** Acts of this device at one bench, oldest first; what was undone can be done again until something else is done. */
export interface Acts {
  done: readonly Act[]
  undone: readonly { act: Act; voidIds: readonly string[] }[]
}

export const NO_ACTS: Acts = { done: [], undone: [] }

/** Further back nobody undoes. */
const MAX_ACTS = 200

export const withAct = ({ done }: Acts, act: Act): Acts => ({ done: [...done, act].slice(-MAX_ACTS), undone: [] })

/** The last act of a person whose facts still stand; null where there is none. */
export function lastOf({ done }: Acts, actorId: string | null, stands: (factId: string) => boolean): Act | null {
  return done.findLast((act) => act.actorId === actorId && act.factIds.some(stands)) ?? null
}

/** The same acts with one undone by these voids. */
export const withUndone = ({ done, undone }: Acts, act: Act, voidIds: readonly string[]): Acts => ({
  done: done.filter((other) => other !== act),
  undone: [...undone, { act, voidIds }],
})

/** What a person undid last, to be done again; null where there is nothing. */
export const lastUndoneOf = ({ undone }: Acts, actorId: string | null): Acts['undone'][number] | null =>
  undone.findLast(({ act }) => act.actorId === actorId) ?? null

export const withRedone = ({ done, undone }: Acts, redone: Acts['undone'][number]): Acts => ({
  done: [...done, redone.act],
  undone: undone.filter((act) => act !== redone),
})
