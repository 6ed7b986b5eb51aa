import { type ChildProcess, spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import { findFreePort, isPortFree } from '../tools/ports.ts'
import { isAlive, until } from '../tools/processes.ts'
import { runningOn } from '../tools/running.ts'
import { expect, test } from './house.ts'
import { tile, typeWeight } from './kitchen.ts'

const FOLDER = '.fleam/e2e-first-run'

/** A second Fleam beside the first, as for real use: no demo, no scale. */
async function startReal(port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'tools/main.ts', 'start'], {
    env: { ...process.env, FLEAM_PORT: String(port), FLEAM_DATA_DIR: FOLDER },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  child.stdout?.on('data', (chunk: Buffer) => {
    said += chunk.toString()
  })
  await until(() => said.includes('Fleam is ready'), {
    timeoutMs: 60_000,
    everyMs: 50,
    giveUp: () => child.exitCode !== null,
  })
  return child
}

test('a new kitchen sets itself up, weighs without a scale, and Ctrl-C leaves nothing running', async ({ page }) => {
  test.setTimeout(120_000)
  rmSync(FOLDER, { recursive: true, force: true })
  const port = await findFreePort()
  const fleam = await startReal(port)
  await page.goto(`http://127.0.0.1:${port}/`)
  await page.getByLabel('Name of the kitchen').fill('Alder Landing')
  await page.getByLabel('Weights').selectOption('imperial')
  await page.getByLabel('Money').selectOption('USD')
  await page.getByLabel('Wage of a cook').fill('20')
  await page.getByLabel('Cooks').fill('Ilka, Odo')
  await page.getByRole('button', { name: 'Open the kitchen' }).click()
  await expect(page.getByText('Nothing has been weighed yet')).toBeVisible()

  await page.getByRole('link', { name: 'Start a fabrication' }).click()
  await page.getByLabel('How many birds').fill('1')
  await page.getByRole('button', { name: 'Start weighing' }).click()
  await page.getByLabel('Weight on the invoice').fill('4 lb 10 oz')
  await page.getByLabel('Price, USD').fill('1.69')
  await page.getByRole('button', { name: 'Start weighing' }).click()
  await expect(page.getByText('no scale: type the weight')).toBeVisible()
  await tile(page, 'supremes').click()
  await typeWeight(page, '10 oz')
  await expect(tile(page, 'supremes')).toContainText('10\u00a0oz')
  await typeWeight(page, 'ten')
  await expect(page.getByRole('alert')).toContainText('This is not a weight')

  const { supervisor, programs } = runningOn(FOLDER)
  expect(programs.map(({ name }) => name).sort()).toEqual(['mariadbd', 'server'])
  fleam.kill('SIGINT')
  await until(() => [supervisor as number, ...programs.map(({ pid }) => pid)].every((pid) => !isAlive(pid)), {
    timeoutMs: 30_000,
    everyMs: 50,
  })
  expect(await isPortFree(port)).toBe(true)
})
