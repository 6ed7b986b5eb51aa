/**
 * SQL for an id of the form that ours have, made of a text: the same one however often it is worked out, so that a
 * migration that was cut off makes no second row.
 */
export const idFrom = (seed: string): string => {
  const part = (from: number, length: number) => `SUBSTR(MD5(${seed}), ${from}, ${length})`
  const text = `CONCAT(${part(1, 8)}, '-', ${part(9, 4)}, '-7', ${part(14, 3)}, '-8', ${part(18, 3)}, '-', ${part(21, 12)})`
  return `CONVERT(LOWER(${text}) USING ascii) COLLATE ascii_bin`
}
