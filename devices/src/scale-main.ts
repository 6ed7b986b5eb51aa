import { KITCHEN_BENCH_SCALE, QUICK_BENCH_SCALE } from './bench-scale.ts'
import { startScaleServer } from './scale-server.ts'

/** Runs the simulated scale by itself: `FLEAM_SCALE_PORT` is where it listens, `FLEAM_SCALE_QUICK=yes` lets it rest at once. */
const port = Number(process.env.FLEAM_SCALE_PORT)
if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error('FLEAM_SCALE_PORT must be a port')

const server = startScaleServer({
  port,
  name: 'demo-bench',
  scale: process.env.FLEAM_SCALE_QUICK === 'yes' ? QUICK_BENCH_SCALE : KITCHEN_BENCH_SCALE,
})
server.on('error', (error) => {
  process.stderr.write(`The simulated scale cannot listen on port ${port}: ${error.message}\n`)
  process.exit(1)
})
for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => process.exit(0))
