/** The piles that leave the board at a step, by their names, in its order. */
export const pileNames = (
  { piles }: { piles: readonly { id: string; name: string }[] },
  { pileIds }: { pileIds: readonly string[] },
): string[] => pileIds.flatMap((id) => piles.find((pile) => pile.id === id)?.name ?? [])
