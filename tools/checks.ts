import { spawn } from 'node:child_process'
import { performance } from 'node:perf_hooks'
import { buildPages } from './pages.ts'
import { step } from './processes.ts'

interface CommandResult {
  code: number
  output: string
}

function run(command: string, parameters: readonly string[]): Promise<CommandResult> {
  return new Promise((resolve) => {
    const child = spawn('npx', ['--no-install', command, ...parameters], { stdio: ['ignore', 'pipe', 'pipe'] })
    let output = ''
    child.stdout.on('data', (chunk: Buffer) => (output += chunk.toString()))
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()))
    child.on('close', (code) => resolve({ code: code ?? 1, output }))
  })
}

interface Check {
  name: string
  command: string
  parameters: readonly string[]
  /** The counts in what the tool printed, in one line. */
  counts: (output: string) => string
}

const lastMatch = (output: string, pattern: RegExp) => [...output.matchAll(pattern)].at(-1)?.[0]?.trim() ?? 'no counts'

const FOLDERS = ['core', 'catalogue', 'contract', 'server', 'web', 'devices', 'demo', 'tools', 'e2e', 'bench']

const boundaries = (name: string, rules: string): Check => ({
  name,
  command: 'depcruise',
  parameters: ['--config', rules, ...FOLDERS],
  counts: (output) => lastMatch(output, /\(\d+ modules.*\)/g),
})

const QUICK: readonly Check[] = [
  {
    name: 'lint',
    command: 'biome',
    parameters: ['check', '--error-on-warnings', '.'],
    counts: (output) => lastMatch(output, /Checked .*/g),
  },
  { name: 'types', command: 'tsc', parameters: ['--noEmit'], counts: () => '0 errors' },
  boundaries('boundaries', '.dependency-cruiser.cjs'),
  boundaries('folders', '.dependency-cruiser.folders.cjs'),
  { name: 'unused', command: 'knip', parameters: [], counts: () => 'nothing unused' },
]

/** Unit, page and integration tests in one run: its workers are started once. */
const JEST: Check = {
  name: 'jest',
  command: 'jest',
  parameters: [],
  counts: (output) => lastMatch(output, /Tests:.*/g),
}

const BROWSER: Check = {
  name: 'browser',
  command: 'playwright',
  parameters: ['test', '--config', 'e2e/playwright.config.ts'],
  counts: (output) => lastMatch(output, /\d+ passed.*/g),
}

interface Tally {
  passed: number
  failed: number
}

/** The lines in which Jest and Playwright say how it ended; what tests print on their way is none of them. */
const ENDINGS = /^(?:Tests:.*| +\d+ (?:passed|failed)(?: \(.*\))?)$/gm

/** How many tests passed and failed, from all that a run of Jest or Playwright printed. */
export function tallyOf(output: string): Tally {
  const ending = [...output.matchAll(ENDINGS)].map(([line]) => line).join('\n')
  const count = (word: string) => Number([...ending.matchAll(new RegExp(`(\\d+) ${word}`, 'g'))].at(-1)?.[1] ?? 0)
  return { passed: count('passed'), failed: count('failed') }
}

async function runAll(checks: readonly Check[]): Promise<{ tally: Tally; failures: string[] }> {
  const tally = { passed: 0, failed: 0 }
  const failures: string[] = []
  for (const { name, command, parameters, counts } of checks) {
    const start = performance.now()
    const { code, output } = await run(command, parameters)
    const seconds = ((performance.now() - start) / 1000).toFixed(1)
    process.stdout.write(
      `  ${code === 0 ? 'ok  ' : 'FAIL'} ${name.padEnd(12)} ${seconds.padStart(6)} s  ${counts(output)}\n`,
    )
    if (code !== 0) failures.push(name)
    if (code !== 0) process.stdout.write(`${output}\n`)
    if (checks !== QUICK) {
      const { passed, failed } = tallyOf(output)
      tally.passed += passed
      tally.failed += failed
    }
  }
  return { tally, failures }
}

/** Lint, types, import boundaries and unused code: the quick part. */
export async function check(): Promise<void> {
  const { failures } = await runAll(QUICK)
  if (failures.length > 0) throw new Error(`Failed: ${failures.join(', ')}`)
}

/** Everything: the quick part, then unit, page, integration (real MariaDB) and browser tests. */
export async function test(): Promise<void> {
  const quick = await runAll(QUICK)
  await step('pages', buildPages)
  const slow = await runAll([JEST, BROWSER])
  const failures = [...quick.failures, ...slow.failures]
  const failed = slow.tally.failed + quick.failures.length
  process.stdout.write(`${slow.tally.passed} passed, ${Math.max(failed, failures.length)} failed\n`)
  if (failures.length > 0) throw new Error(`Failed: ${failures.join(', ')}`)
}
