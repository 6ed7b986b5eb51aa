import { type DecimalMark, formatInches, formatNumber, formatPoundsOunces, GRAMS_PER_KILOGRAM } from '../units/index.ts'

const MM_PER_CM = 10
const fahrenheit = (celsius: number) => Math.round(celsius * 1.8 + 32)

const NUMBER = String.raw`\d+(?:\.\d+)?`
const SIZE = new RegExp(String.raw`(${NUMBER})(?:( to |–|-)(${NUMBER}))?[ \u00a0]?(mm|cm|kg|g)\b`, 'g')
const HEAT = /([\u2212-]?\d+)(?:( to )([\u2212-]?\d+))?[ \u00a0]°C(?: \(([\u2212-]?\d+)[ \u00a0]°F\))?/g

/** Words that a kitchen in pounds spells or says in another way. */
const OTHER_WORDS: readonly (readonly [RegExp, string])[] = [
  [/\bkilo\b/g, 'pound'],
  [/\bkilos\b/g, 'pounds'],
  [/\b([Ll])abour\b/g, '$1abor'],
  [/\b([Uu])tilisation\b/g, '$1tilization'],
  [/\b([Mm])illimetre/g, '$1illimeter'],
  [/\b([Ss])anitis/g, '$1anitiz'],
  [/\b([Cc])entre/g, '$1enter'],
  [/\bfor mince\b/g, 'for grinding'],
]

const signed = (value: number) => String(value).replace('-', '\u2212')
const number = (text: string) => Number(text.replace('\u2212', '-'))

function sizeInPounds(_all: string, from: string, to: string | undefined, until: string | undefined, unit: string) {
  const perUnit = unit === 'kg' ? GRAMS_PER_KILOGRAM : unit === 'cm' ? MM_PER_CM : 1
  const isLength = unit === 'mm' || unit === 'cm'
  const word = (text: string) =>
    isLength ? formatInches(Number(text) * perUnit) : formatPoundsOunces(Number(text) * perUnit)
  const words = until === undefined ? word(from) : `${word(from)}${to}${word(until)}`
  return isLength ? `${words}\u00a0in` : words
}

function heatInPounds(_all: string, from: string, to: string | undefined, until: string | undefined, said?: string) {
  if (until === undefined) return `${said ?? signed(fahrenheit(number(from)))}\u00a0°F (${from}\u00a0°C)`
  return `${signed(fahrenheit(number(from)))}${to}${signed(fahrenheit(number(until)))}\u00a0°F (${from}${to}${until}\u00a0°C)`
}

/**
 * A text of the trade as a kitchen says it: where pounds are weighed, measures in inches, pounds and ounces, degrees
 * Fahrenheit first, prices a pound, and the spelling that goes with them; where the decimal is a comma, a comma.
 * Other kitchens read it as it is written. It never changes what is stored.
 */
export function localWords(text: string, units: 'metric' | 'imperial', mark: DecimalMark): string {
  const words =
    units === 'metric'
      ? text
      : OTHER_WORDS.reduce(
          (otherWord, [from, to]) => otherWord.replace(from, to),
          text.replace(HEAT, heatInPounds).replace(SIZE, sizeInPounds),
        )
  return mark === 'comma' ? words.replace(/(\d)\.(\d)/g, '$1,$2') : words
}

/** A temperature measured or asked for, degrees Celsius, as the kitchen reads it. */
export const heatWords = (celsius: number, units: 'metric' | 'imperial', mark: DecimalMark): string =>
  units === 'metric'
    ? `${formatNumber(celsius, Number.isInteger(celsius) ? 0 : 1, mark)}\u00a0°C`
    : `${formatNumber(celsius * 1.8 + 32, 0, mark)}\u00a0°F`
