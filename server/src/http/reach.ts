import { isIP } from 'node:net'
import type { FastifyInstance, FastifyRequest } from 'fastify'
import { Refusal } from './problems.ts'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** The host of a `Host` header or an origin, without its port; an IPv6 address without its brackets. */
function hostOf(authority: string): string {
  try {
    return new URL(`http://${authority}`).hostname.replace(/^\[|\]$/g, '').toLowerCase()
  } catch {
    return ''
  }
}

const originHost = (origin: string): string => {
  try {
    return new URL(origin).host
  } catch {
    return ''
  }
}

/**
 * Answers to addresses, to `localhost` and to the names that were set, and changes nothing for another site. A page of
 * elsewhere may have its own name lead to us and would then be of our origin; an address cannot be made to lead here.
 */
export function answerOwnPagesOnly(app: FastifyInstance, names: readonly string[]): void {
  const ownNames = new Set(['localhost', ...names.map((name) => name.toLowerCase())])
  app.addHook('onRequest', async ({ method, headers }: FastifyRequest) => {
    const host = hostOf(headers.host ?? '')
    if (isIP(host) === 0 && !ownNames.has(host)) {
      throw new Refusal('other-host', 'Say in FLEAM_NAMES by which names this server is reached.')
    }
    if (READS.has(method)) return
    // A browser says where a request is from, also where it has no body that a form could not send.
    const isOtherOrigin = headers.origin !== undefined && originHost(headers.origin) !== headers.host
    const site = headers['sec-fetch-site']
    if (isOtherOrigin || site === 'cross-site' || site === 'same-site') {
      throw new Refusal('other-site', 'Only pages of this server may change something here.')
    }
  })
}
