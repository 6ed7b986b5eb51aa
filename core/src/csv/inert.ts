/** What begins a formula, also as wide as letters of the East are. */
const SIGN = '[=+\\-@＝＋－＠]'
/** Where a cell may begin as another spreadsheet cuts the line: at its own separator, whatever ours is. */
const BEGINNING = '((?:^|[;\\t|\\r\\n])[ \\u00a0]*)'
const FORMULA = new RegExp(`${BEGINNING}(?=${SIGN})`, 'g')
const INERT = new RegExp(`${BEGINNING}'(?=${SIGN})`, 'g')

/** Text of a CSV cell with an apostrophe before what a spreadsheet would run as a formula. */
export const inert = (text: string): string => text.replace(FORMULA, "$1'").replace(/^(?=[\t\r])/, "'")

/** The text as it was before it was made safe. */
export const fromInert = (text: string): string => text.replace(INERT, '$1').replace(/^'(?=[\t\r])/, '')
