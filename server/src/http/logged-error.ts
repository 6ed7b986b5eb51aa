/** Letters of an error's words in the log. */
const MAX_WORDS = 2_000

/**
 * An error as it is logged: what it is and where it came from, and nothing of what somebody sent. The driver's own
 * errors hold their whole statement, and one of a long list fills a disk that is full already.
 */
export function loggedError(error: Error & { code?: string }) {
  return {
    type: error.name,
    code: error.code,
    message: error.message.slice(0, MAX_WORDS),
    stack: (error.stack ?? '').slice(0, MAX_WORDS),
  }
}
