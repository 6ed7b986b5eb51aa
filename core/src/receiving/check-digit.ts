/**
 * The check digit of a number of digits, from the right: digits weigh 3 and 1 in turn, and the check digit
 * fills the sum up to the next ten. `body` is the number without its check digit.
 */
export function checkDigitOf(body: string): number {
  let sum = 0
  for (let at = 0; at < body.length; at++) {
    const weight = (body.length - at) % 2 === 1 ? 3 : 1
    sum += Number(body[at]) * weight
  }
  return (10 - (sum % 10)) % 10
}

/** True where the last digit is the check digit of those before it. `code` is all digits, at least two. */
export const hasRightCheckDigit = (code: string): boolean => checkDigitOf(code.slice(0, -1)) === Number(code.at(-1))
