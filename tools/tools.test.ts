import { createServer } from 'node:net'
import { findFreePort, isPortFree } from './ports.ts'
import { isAlive, runProgram, stopProcess, until } from './processes.ts'

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
  const child = runProgram('devices/src/scale-main.ts', { FLEAM_SCALE_PORT: String(port) })
  const exited = new Promise((resolve) => child.once('exit', resolve))
  await until(async () => !(await isPortFree(port)), { timeoutMs: 20_000, everyMs: 50 })
  await stopProcess(child.pid as number, 5_000)
  await exited
  expect(isAlive(child.pid as number)).toBe(false)
}, 30_000)
