import { DEFAULT_PORT, House, type HouseOptions } from './house.ts'
import { stopRunning } from './running.ts'

function options(isDemo: boolean): HouseOptions {
  const port = Number(process.env.FLEAM_PORT ?? DEFAULT_PORT)
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error('FLEAM_PORT must be a port, 1 to 65535')
  return {
    port,
    host: process.env.FLEAM_HOST ?? '127.0.0.1',
    dataFolder: process.env.FLEAM_DATA_DIR ?? '.fleam',
    isDemo,
    databaseUrl: process.env.FLEAM_DATABASE_URL ?? null,
    scale: process.env.FLEAM_SCALE ?? null,
  }
}

async function run(isDemo: boolean): Promise<void> {
  const house = new House(options(isDemo))
  const stop = () => void house.stop().then(() => process.exit(0))
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop)
  try {
    await house.start()
  } catch (error) {
    await house.stop()
    throw error
  }
  process.stdout.write(`Fleam is ready at ${house.url}\n`)
}

const COMMANDS: Readonly<Record<string, () => Promise<void>>> = {
  demo: () => run(true),
  start: () => run(false),
  stop: async () => {
    const stopped = await stopRunning(process.env.FLEAM_DATA_DIR ?? '.fleam')
    process.stdout.write(stopped ? 'Fleam has stopped.\n' : 'Fleam does not run on this data folder.\n')
  },
  // The others load more than a start has time for.
  recount: async () => (await import('./recount.ts')).recount(new House(options(false)).url),
  check: async () => (await import('./checks.ts')).check(),
  test: async () => (await import('./checks.ts')).test(),
}

const command = COMMANDS[process.argv[2] ?? '']
if (!command) throw new Error(`There is no command '${process.argv[2]}'`)
await command().catch((error: Error) => {
  process.stderr.write(`${error.message}\n`)
  process.exit(1)
})
