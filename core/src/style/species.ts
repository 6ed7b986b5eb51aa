/** What animals a kitchen cuts, in the order in which a board is cleaned least between them. */
export const SPECIES = ['fish', 'red-meat', 'poultry'] as const
export type Species = (typeof SPECIES)[number]
