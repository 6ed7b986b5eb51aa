/** Text of a CSV cell with an apostrophe before what a spreadsheet would run as a formula. */
export const inert = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text)
