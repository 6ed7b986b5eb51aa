import { statfs } from 'node:fs/promises'
import type { FastifyInstance } from 'fastify'

/** With less than that left the database cannot take what comes next, or cannot be brought up again. */
const LEAST_ROOM_BYTES = 8 * 1024 * 1024

/** Knows whether the database's disk is full: by the disk itself, and by what the database said when it was last to store something. */
export class DiskWatch {
  readonly #folder: string | null
  #sawNoRoom = false

  /** `folder` lies on the database's disk; null where that is no disk of this machine. */
  constructor(folder: string | null = null) {
    this.#folder = folder
  }

  async isFull(): Promise<boolean> {
    if (this.#sawNoRoom) return true
    if (this.#folder === null) return false
    // A folder that is gone says nothing of its disk.
    const room = await statfs(this.#folder).catch(() => null)
    return room !== null && room.bavail * room.bsize < LEAST_ROOM_BYTES
  }

  sawNoRoom(): void {
    this.#sawNoRoom = true
  }

  /** There is room again as soon as a kitchen's change was stored. */
  watch(app: FastifyInstance): void {
    app.addHook('onResponse', async ({ method, params }, { statusCode }) => {
      if (method !== 'GET' && statusCode < 300 && Object.hasOwn(Object(params), 'kitchenId')) this.#sawNoRoom = false
    })
  }
}
