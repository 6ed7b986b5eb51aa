import { startScaleServer } from './scale-server.ts'

/** Runs the simulated scale by itself: `FLEAM_SCALE_PORT` is where it listens. */
const port = Number(process.env.FLEAM_SCALE_PORT)
if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error('FLEAM_SCALE_PORT must be a port')

const server = startScaleServer({ port, name: 'demo-bench' })
server.on('error', (error) => {
  process.stderr.write(`The simulated scale cannot listen on port ${port}: ${error.message}\n`)
  process.exit(1)
})
for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => process.exit(0))
