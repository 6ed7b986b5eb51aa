import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const ROOT = join(__dirname, '../..')
/** Terms that are nowhere as such, but explain a case. */
const ONLY_EXPLAINED = new Set([
  'Making … costs –',
  'On the board 46 min',
  'Back in',
  'Options of the bench',
  'instead of what',
])

/** Terms that are words of any sentence: wrong as a label or a button, which begin with a capital. */
const WRONG_AS_A_LABEL = new Set(['Back in', 'Can be served', 'In the cold', 'Leave it', 'Plan the rest'])

const rows = readFileSync(join(ROOT, 'docs/terms.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| '))
  .slice(1)
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, say, not]) => ({ say: say as string, not: not as string }))

const sources = (folder: string): string[] =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
    .map((file) => join(ROOT, folder, file))

/** What of a source can stand on a screen: its comments left out. */
const shown = (text: string) => text.replace(/\/\*[\s\S]*?\*\//g, '').replace(/^\s*\/\/.*$/gm, '')

test('the list of terms is read, and says each thing in one way', () => {
  expect(rows.length).toBeGreaterThan(25)
  expect(new Set(rows.map(({ say }) => say)).size).toBe(rows.length)
})

test('what the list of terms does not say stands in no room', () => {
  const not = rows.map((row) => row.not).filter((words) => !ONLY_EXPLAINED.has(words))
  const found = sources('web/src').flatMap((file) => {
    const text = shown(readFileSync(file, 'utf8'))
    const holds = (words: string) =>
      new RegExp(
        `(?<![\\w-])${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\w’])`,
        WRONG_AS_A_LABEL.has(words) ? '' : 'i',
      ).test(text)
    return not.filter(holds).map((words) => `${file.slice(ROOT.length + 1)}: ${words}`)
  })
  expect(found).toEqual([])
})
