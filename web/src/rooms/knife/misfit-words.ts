import type { JudgedPart, MisfitReason } from '@fleam/core/portioning'

const WORDS: Readonly<Record<MisfitReason, string>> = {
  'too-light': 'too light',
  'too-heavy': 'too heavy',
  'too-thin': 'too thin',
  'too-thick': 'too thick',
  'face-too-small': 'its face is too small',
  'outside-its-place': 'it lies outside its place',
}

/** Why a part is scrap, in words; null where it is a portion or nothing comes near. */
export function misfitWords({ product, reasons, nearest }: JudgedPart): string | null {
  if (product !== null || nearest === null || reasons.length === 0) return null
  return `as ${nearest}: ${reasons.map((reason) => WORDS[reason]).join(', ')}`
}
