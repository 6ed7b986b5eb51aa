import { rmSync, writeFileSync } from 'node:fs'
import { makePlans } from '@fleam/demo'
import { House } from './house.ts'
import { findFreePort } from './ports.ts'

const DATA_FOLDER = '.fleam/demo-plans'
const FILE = 'demo/src/shipped-plans.json'

/** Asks the solver for the plans of the demo, and puts what it answers where it ships. */
rmSync(DATA_FOLDER, { recursive: true, force: true })
const options = { dataFolder: DATA_FOLDER, isDemo: false, databaseUrl: null, scale: null }
const house = new House({ port: await findFreePort(), ...options })
try {
  await house.start()
  const plans = await makePlans(house.url, new Date(), (line) => process.stdout.write(`${line}\n`))
  writeFileSync(FILE, `${JSON.stringify(plans)}\n`)
} finally {
  await house.stop()
  rmSync(DATA_FOLDER, { recursive: true, force: true })
}
process.exit(0)
