import { fact as anyFact } from '@fleam/core/facts'
import { id } from '@fleam/core/values'
import { z } from 'zod'
import { PROBLEMS, type ProblemCode } from '../problem.ts'
import { laidPiece, numberedPlates } from './board.ts'

const BOARD_STATES = { 'next-cut': laidPiece.nullable(), plates: numberedPlates.nullable() } as const

/**
 * What happens at a bench, as it is made on the device, kept in its outbox, sent, stored, told to the other
 * devices and merged: one form for all of them. Sending one twice changes nothing.
 */
export const fact = anyFact
  .superRefine((sent, context) => {
    if (sent.kind !== 'board') return
    for (const issue of BOARD_STATES[sent.part].safeParse(sent.state).error?.issues ?? []) {
      context.addIssue({ code: 'custom', path: ['state', ...issue.path], message: issue.message })
    }
  })
  .meta({ id: 'Fact' })

const MAX_SENT = 500

/** Something in a list that is no fact: it is refused by itself, and does not keep the others from being stored. */
const notAFact = z
  .unknown()
  .transform((sent) => ({ kind: 'not-a-fact' as const, sent }))
  .meta({ not: {} })
export type NotAFact = z.infer<typeof notAFact>

/** What a device sends, in the order in which it was done; each is kept, known already, or refused by itself. */
export const factsSent = z
  .strictObject({
    facts: z
      .array(z.union([fact, notAFact]))
      .min(1)
      .max(MAX_SENT),
  })
  .meta({ id: 'FactsSent' })

/** A fact that will never be kept as it was sent: its place in the list, and why. */
const factRefused = z.object({
  at: z.number(),
  code: z.enum(Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]]),
  detail: z.string(),
  issues: z.array(z.object({ path: z.string(), message: z.string() })).min(1),
})
export type FactRefused = z.infer<typeof factRefused>

/** The ids that are stored now, after the commit, and what was refused. */
export const factsKept = z.object({ kept: z.array(id), refused: z.array(factRefused) }).meta({ id: 'FactsKept' })
export type FactsKept = z.infer<typeof factsKept>

/** What happened at one bench since the last event: facts of every device, and the record's version. */
export const fabricationNews = z.object({ facts: z.array(fact), version: z.number() }).nullable()
export type FabricationNews = NonNullable<z.infer<typeof fabricationNews>>
