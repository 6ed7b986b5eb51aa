import type { FastifyReply, FastifyRequest } from 'fastify'

/** What the pages may load: their own server, and drawings inside them. */
export const PAGE_POLICY = {
  defaultSrc: ["'self'"],
  // The solver of integer programmes is compiled from our own server's bytes.
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  styleSrc: ["'self'", "'unsafe-inline'"],
  // A kitchen's server speaks plain HTTP on its own network.
  upgradeInsecureRequests: null,
}

/** Answers of the API are data: they load nothing, stand in no frame, and are kept by no cache. */
const ANSWER_HEADERS = {
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-resource-policy': 'same-origin',
  'cache-control': 'no-store',
} as const

/** Headers of every answer: what a browser may do with it. */
export async function secureAnswer(_request: FastifyRequest, reply: FastifyReply): Promise<void> {
  reply.headers(ANSWER_HEADERS)
}
