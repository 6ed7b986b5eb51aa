import { execFileSync } from 'node:child_process'
import { existsSync, rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { chromium } from '@playwright/test'
import { House } from '../house.ts'
import { findFreePort } from '../ports.ts'

const DATA_FOLDER = '.fleam/pages'
/** Every room is measured so often, and the middle counts: one look at a busy machine says little. */
const LOOKS = 3
/** What every room is to reach, of 100. Knife lines draws plans that a worker is still finding. */
const AIMS = { performance: 95, accessibility: 100, 'best-practices': 96 } as const
type Category = keyof typeof AIMS
const CATEGORIES = Object.keys(AIMS) as Category[]

async function roomsOf(url: string): Promise<Record<string, string>> {
  const call = callAt(url)
  const kitchens = await call(kitchenOperations.listKitchens, {})
  const kitchenId = kitchens.find((kitchen) => kitchen.name === 'Larch Halt')?.id as string
  const rows = await call(fabricationOperations.listFabrications, { kitchenId })
  return {
    Today: '/',
    Buying: '/buying',
    Receiving: '/buying/receiving',
    'Bench, starting': '/bench',
    Bench: `/bench/${rows.find((row) => row.status === 'open')?.id}`,
    Verdict: `/verdict/${rows.find((row) => row.status === 'closed')?.id}`,
    'Knife lines': '/knife',
    Guide: '/guide',
    Settings: '/settings',
  }
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number

interface Measured {
  scores: Record<Category, number>
  /** Milliseconds that the page was blocked, and how far things jumped. */
  blocked: number
  jumped: number
}

/** As much of the audit as is used here. */
interface Audit {
  default: (address: string, flags: object, config: unknown) => Promise<{ lhr: AuditResult } | undefined>
  desktopConfig: unknown
}
interface AuditResult {
  categories: Partial<Record<Category, { score: number | null }>>
  audits: Record<string, { numericValue?: number } | undefined>
  runtimeError?: { message: string }
}

const FOLDER = fileURLToPath(new URL('.', import.meta.url))

/** The audit; installed beside this file where it is not there yet. */
async function loadAudit(): Promise<Audit> {
  const path = `${FOLDER}node_modules/lighthouse/core/index.js`
  if (!existsSync(path)) {
    execFileSync('npm', ['install', '--no-audit', '--no-fund', '--no-package-lock'], { cwd: FOLDER, stdio: 'inherit' })
  }
  return import(path)
}

async function measure(audit: Audit, address: string, port: number): Promise<Measured> {
  const looks: Measured[] = []
  for (let look = 0; look < LOOKS; look++) {
    const flags = { port, onlyCategories: CATEGORIES, logLevel: 'error' }
    const run = await audit.default(address, flags, audit.desktopConfig)
    if (!run || run.lhr.runtimeError) {
      throw new Error(`${address} could not be measured: ${run?.lhr.runtimeError?.message ?? ''}`)
    }
    const { categories, audits } = run.lhr
    const scoreOf = (category: Category) => Math.round((categories[category]?.score ?? 0) * 100)
    looks.push({
      scores: Object.fromEntries(CATEGORIES.map((category) => [category, scoreOf(category)])) as Measured['scores'],
      blocked: audits['total-blocking-time']?.numericValue ?? 0,
      jumped: audits['cumulative-layout-shift']?.numericValue ?? 0,
    })
  }
  const middle = (of: (measured: Measured) => number) => median(looks.map(of))
  return {
    scores: Object.fromEntries(
      CATEGORIES.map((category) => [category, middle(({ scores }) => scores[category])]),
    ) as never,
    blocked: middle(({ blocked }) => blocked),
    jumped: middle(({ jumped }) => jumped),
  }
}

/** Measures every room of the demo as a browser's own audit sees it; ends with 1 where one misses its aim. */
async function main(): Promise<boolean> {
  rmSync(DATA_FOLDER, { recursive: true, force: true })
  const house = new House({
    port: await findFreePort(),
    dataFolder: DATA_FOLDER,
    isDemo: true,
    databaseUrl: null,
    scale: null,
  })
  const debugPort = await findFreePort()
  const audit = await loadAudit()
  try {
    await house.start()
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', `--remote-debugging-port=${debugPort}`],
    })
    process.stdout.write(
      `\n${'room'.padEnd(18)}${CATEGORIES.map((category) => category.padStart(16)).join('')}   blocked  jumped\n`,
    )
    let isReached = true
    for (const [room, path] of Object.entries(await roomsOf(house.url))) {
      const { scores, blocked, jumped } = await measure(audit, house.url + path, debugPort)
      const cells = CATEGORIES.map((category) =>
        `${scores[category]}${scores[category] < AIMS[category] ? ' !' : ''}`.padStart(16),
      )
      process.stdout.write(
        `${room.padEnd(18)}${cells.join('')}${`${Math.round(blocked)} ms`.padStart(10)}${jumped.toFixed(3).padStart(8)}\n`,
      )
      if (CATEGORIES.some((category) => scores[category] < AIMS[category])) isReached = false
    }
    await browser.close()
    return isReached
  } finally {
    await house.stop()
    rmSync(DATA_FOLDER, { recursive: true, force: true })
  }
}

process.exit((await main()) ? 0 : 1)
