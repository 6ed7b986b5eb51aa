import { rmSync } from 'node:fs'
import { House } from '../tools/house.ts'
import { findFreePort } from '../tools/ports.ts'
import { benchAppraisal } from './appraisal.ts'
import { benchBeside } from './beside.ts'
import { benchDevices } from './devices.ts'
import { startEmitter } from './emitter.ts'
import { benchForecast } from './forecast.ts'
import { benchKnifeDrag } from './knife-drag.ts'
import { benchLogbook } from './logbook.ts'
import { benchPlanGaps } from './plan-gaps.ts'
import { benchPlanRoom } from './plan-room.ts'
import { benchPlanning } from './planning.ts'
import { benchPortioning } from './portioning.ts'
import { benchPriceLists } from './price-lists.ts'
import { benchReadings } from './readings.ts'
import { benchScheduling } from './scheduling.ts'
import { benchScreen } from './screen.ts'
import { benchVerdictTyping } from './verdict-typing.ts'

const DATA_FOLDER = '.fleam/bench'

/** Measures ours and, in the same run, a bare baseline; machines are noisy, so read the ratios. One part where it is named. */
async function main(): Promise<void> {
  const isAsked = (what: string) => process.argv[2] === undefined || process.argv[2] === what
  if (isAsked('core')) {
    await benchAppraisal()
    await benchForecast()
    await benchPortioning()
  }
  if (isAsked('planning')) await benchPlanning()
  if (isAsked('scheduling')) await benchScheduling()
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
    if (isAsked('screen')) await benchScreen(house.url, emitter)
    if (isAsked('verdict')) await benchVerdictTyping(house.url)
    if (isAsked('knife')) await benchKnifeDrag(house.url)
    if (isAsked('plans')) {
      await benchPlanGaps(house.url)
      await benchPlanRoom(house.url)
    }
    if (isAsked('devices')) await benchDevices(house.url)
    // Before tens of thousands of weighings are stored in one batch: no kitchen has such a one.
    if (isAsked('beside')) await benchBeside(house.url)
    if (isAsked('readings')) await benchReadings(house.url, house.databaseUrl)
    if (isAsked('prices')) await benchPriceLists(house.url, house.databaseUrl)
    if (isAsked('logbook')) await benchLogbook(house.url, house.databaseUrl)
  } finally {
    await house.stop()
    emitter.close()
    rmSync(DATA_FOLDER, { recursive: true, force: true })
  }
}

await main()
process.exit(0)
