import type { Fact } from '@fleam/core/facts'

/** Something that was done on this device, and that the server may not have yet. */
export interface OutboxEntry {
  /** The fact's own. */
  id: string
  kitchenId: string
  fact: Fact
  /** When the server had stored it, milliseconds since 1970; absent while it has not. */
  storedAtMs?: number
}
