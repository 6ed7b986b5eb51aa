import { rmSync } from 'node:fs'
import { House } from '../tools/house.ts'
import { findFreePort } from '../tools/ports.ts'
import { benchAppraisal } from './appraisal.ts'
import { benchBeside } from './beside.ts'
import { benchDevices } from './devices.ts'
import { startEmitter } from './emitter.ts'
import { benchForecast } from './forecast.ts'
import { benchKnifeDrag } from './knife-drag.ts'
import { benchPortioning } from './portioning.ts'
import { benchPriceLists } from './price-lists.ts'
import { benchReadings } from './readings.ts'
import { benchScreen } from './screen.ts'
import { benchVerdictTyping } from './verdict-typing.ts'

const DATA_FOLDER = '.fleam/bench'

/** Measures ours and, in the same run, a bare baseline; machines are noisy, so read the ratios. */
async function main(): Promise<void> {
  await benchAppraisal()
  await benchForecast()
  await benchPortioning()
  rmSync(DATA_FOLDER, { recursive: true, force: true })
  const emitter = await startEmitter()
  const house = new House({
    port: await findFreePort(),
    dataFolder: DATA_FOLDER,
    isDemo: true,
    databaseUrl: null,
    scale: `127.0.0.1:${emitter.port}`,
  })
  try {
    await house.start()
    await benchScreen(house.url, emitter)
    await benchVerdictTyping(house.url)
    await benchKnifeDrag(house.url)
    await benchDevices(house.url)
    // Before tens of thousands of weighings are stored in one batch: no kitchen has such a one.
    await benchBeside(house.url)
    await benchReadings(house.url, house.databaseUrl)
    await benchPriceLists(house.url, house.databaseUrl)
  } finally {
    await house.stop()
    emitter.close()
    rmSync(DATA_FOLDER, { recursive: true, force: true })
  }
}

await main()
process.exit(0)
