import type { FabricationDocument } from '@fleam/core/fabrication'
import type { FastifyInstance } from 'fastify'
import type { Compute } from '../compute/index.ts'
import { MAX_ISSUES, Refusal, readAside } from '../http/index.ts'

/** Texts that are longer are taken apart beside the server; for shorter ones the way there takes longer. */
const SHORT_TEXT = 16_000

/** Makes a part of the server read its documents so that no weighing waits for a long one. */
export function readDocumentsAside(app: FastifyInstance, compute: Compute): void {
  const readHere = app.getDefaultJsonParser('error', 'error')
  app.removeContentTypeParser('application/json')
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body, done) => {
    const text = String(body)
    if (text.length <= SHORT_TEXT) return readHere(request, text, done)
    compute.do('read-document', text).then((read) => {
      if (!('document' in read)) {
        done(new Refusal(read.code, read.detail, { issues: read.issues.slice(0, MAX_ISSUES) }))
        return
      }
      readAside.add(read.document)
      done(null, read.document)
    }, done)
  })
}

/** Weighings of a document beyond which it is worked out beside the server. */
const FEW_WEIGHINGS = 500

/** Whether a document has so many weighings that it is read beside the server. */
export const isLong = ({ piles }: Pick<FabricationDocument, 'piles'>): boolean =>
  piles.reduce((sum, pile) => sum + (pile.pieces?.length ?? 1), 0) > FEW_WEIGHINGS
