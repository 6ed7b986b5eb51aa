import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildServer, builtProgram } from './build-server.ts'
import { tallyOf } from './checks.ts'
import { House } from './house.ts'
import { findFreePort, isPortFree } from './ports.ts'
import { isAlive, pauseAfter, runProgram, stopProcess, until } from './processes.ts'
import { houseArgument, runningOn, stopRunning, writeSupervisor } from './running.ts'

beforeAll(buildServer, 60_000)

test('tests are counted where a run says how it ended, and nowhere else', () => {
  const jest = (ending: string) =>
    `Rolling back transaction 5-8128 failed with error\n  3 failed tries\n${ending}\nTime: 2 s`
  expect(tallyOf(jest('Tests:       1656 passed, 1656 total'))).toEqual({ passed: 1656, failed: 0 })
  expect(tallyOf(jest('Tests:       2 failed, 9 passed, 11 total'))).toEqual({ passed: 9, failed: 2 })
  expect(tallyOf('weighed 7 passed\n\n  1 failed\n    a.spec.ts:3:1 › x\n  78 passed (5.4m)')).toEqual({
    passed: 78,
    failed: 1,
  })
})

test('a free port is free, a taken one is not', async () => {
  const port = await findFreePort()
  expect(await isPortFree(port)).toBe(true)
  const server = createServer()
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve))
  expect(await isPortFree(port)).toBe(false)
  server.close()
})

test('a wait ends when its time is over, or when it is given up', async () => {
  await expect(until(() => false, { timeoutMs: 20, everyMs: 5 })).rejects.toThrow('too long')
  await expect(until(() => false, { timeoutMs: 10_000, everyMs: 5, giveUp: () => true })).rejects.toThrow()
})

test('a program of ours is started and ended', async () => {
  const port = await findFreePort()
  const child = runProgram(builtProgram('scale-main'), { FLEAM_SCALE_PORT: String(port) })
  const exited = new Promise((resolve) => child.once('exit', resolve))
  await until(async () => !(await isPortFree(port)), { timeoutMs: 20_000, everyMs: 50 })
  await stopProcess(child.pid as number, 5_000)
  await exited
  expect(isAlive(child.pid as number)).toBe(false)
}, 30_000)

test('a house is reached at the address that it listens on, or on loopback where that is all of them', () => {
  const urlOf = (host?: string) =>
    new House({ port: 4173, ...(host ? { host } : {}), dataFolder: 'x', isDemo: false, databaseUrl: null, scale: null })
      .url
  expect([undefined, '0.0.0.0', '::', '192.168.7.2', 'fe80::1'].map(urlOf)).toEqual([
    'http://127.0.0.1:4173',
    'http://127.0.0.1:4173',
    'http://127.0.0.1:4173',
    'http://192.168.7.2:4173',
    'http://[fe80::1]:4173',
  ])
})

test('pauses between tries grow, and stay bearable', () => {
  const pauses = [0, 1, 2, 3, 30, 3000].map(pauseAfter)
  expect(pauses.slice(0, 4)).toEqual([300, 600, 1200, 2400])
  expect(pauses.slice(4)).toEqual([5_000, 5_000])
})

describe('a data folder', () => {
  let folder: string
  const state = () => join(folder, 'running.json')
  const house = (port: number) =>
    new House({ port, dataFolder: folder, isDemo: false, databaseUrl: 'mysql://nobody@127.0.0.1:1/x', scale: null })

  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'fleam-house-'))
  })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  test('that a running Fleam has is refused to a second one, and left to the first', async () => {
    writeSupervisor(folder, process.ppid)
    const second = house(await findFreePort())
    await expect(second.start()).rejects.toThrow('runs already on this data folder')
    await second.stop()
    expect(existsSync(state())).toBe(true)
  })

  test('is not touched where the port is taken', async () => {
    const server = createServer()
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const { port } = server.address() as { port: number }
    await expect(house(port).start()).rejects.toThrow('FLEAM_PORT')
    expect(existsSync(state())).toBe(false)
    server.close()
  })

  test('of a Fleam that was killed is cleared of what it left running', async () => {
    const port = await findFreePort()
    const port2 = await findFreePort()
    const start = (at: number, whose: string) =>
      runProgram(builtProgram('scale-main'), { FLEAM_SCALE_PORT: String(at) }, [houseArgument(whose)])
    const stranger = start(port2, `${folder}-other`)
    start(port, folder)
    for (const value of [port, port2])
      await until(async () => !(await isPortFree(value)), { timeoutMs: 20_000, everyMs: 50 })
    // Whatever was written down of it: it is found by what runs.
    for (const torn of ['', '{"supervisor":', 'null', '[]', JSON.stringify({ supervisor: process.ppid })]) {
      writeFileSync(state(), torn)
      expect(runningOn(folder)).toMatchObject({ supervisor: null, programs: [{ name: 'scale-main' }] })
    }
    expect(await stopRunning(folder)).toBe(true)
    expect(isAlive(stranger.pid as number)).toBe(true)
    await stopProcess(stranger.pid as number, 5_000)
    expect(await isPortFree(port)).toBe(true)
    expect(await stopRunning(folder)).toBe(false)
  }, 30_000)
})
