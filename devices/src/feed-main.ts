import { startFeedServer } from './feed-server.ts'

const port = Number(process.env.FLEAM_FEED_PORT)
if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error('FLEAM_FEED_PORT must be a port')

const server = await startFeedServer(port, () => new Date())
process.once('SIGTERM', () => server.close(() => process.exit(0)))
process.once('SIGINT', () => server.close(() => process.exit(0)))
