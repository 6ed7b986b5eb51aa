import {
  fittingMappings,
  guessMapping,
  type PriceMapping,
  type RememberedMapping,
  readTable,
} from '@fleam/core/price-lists'

/** A file that was chosen, as text. */
export interface ChosenList {
  name: string
  csv: string
  encoding: string
  headers: string[]
  /** What its headings suggest, and what earlier lists with these columns were taken as. */
  guessed: PriceMapping
  fitting: RememberedMapping[]
  /** What is chosen at first. */
  mapping: PriceMapping
}

/** A file as a list: its columns as in the last list that had them, else as its headings suggest. `day` is today. */
export function chosenList(
  file: Pick<ChosenList, 'name' | 'csv' | 'encoding'>,
  known: readonly RememberedMapping[],
  day: string,
): ChosenList {
  const { headers } = readTable(file.csv, 1)
  const guessed = guessMapping(headers, day)
  const fitting = fittingMappings(headers, known)
  const [best] = fitting
  if (!best) return { ...file, headers, guessed, fitting, mapping: guessed }
  // Where two suppliers have these columns, whose list it is nobody but the reader can say.
  const supplier = fitting.length === 1 ? best.mapping.supplier : null
  return { ...file, headers, guessed, fitting, mapping: { ...best.mapping, supplier, from: day } }
}
