import { type FactRefused, type FactsKept, fact, type NotAFact } from '@fleam/contract/facts/schemas'
import { issuesOf, type ProblemCode } from '@fleam/contract/problem'
import type { Fact } from '@fleam/core/facts'
import { MAX_ISSUES, Refusal } from '../http/index.ts'
import { isSameFact } from './same-fact.ts'

/** A list of facts on its way into the database: what is still missing there, and what was refused. */
export class Sorting {
  readonly #list: readonly (Fact | NotAFact)[]
  readonly #missing = new Map<string, Fact>()
  /** By the place in the list. */
  readonly #refused = new Map<number, FactRefused>()

  constructor(list: readonly (Fact | NotAFact)[]) {
    this.#list = list
    list.forEach((item, index) => {
      if (item.kind === 'not-a-fact') this.#refuseAt(index, ...unreadable(item, index))
      else {
        const before = this.#missing.get(item.id)
        if (!before) this.#missing.set(item.id, item)
        // Twice in one list is once; an id that stands for two things in it is the first one.
        else if (!isSameFact(before, item)) this.#refuseAt(index, 'id-taken', TAKEN, [issue(index, 'id', 'is taken')])
      }
    })
  }

  /** What is neither stored nor refused, in the order in which it was sent. */
  missing(): Fact[] {
    return [...this.#missing.values()]
  }

  settle(id: string): void {
    this.#missing.delete(id)
  }

  refuse(id: string, code: ProblemCode, field: string, detail: string, message = 'is not there'): void {
    this.#missing.delete(id)
    this.#list.forEach((item, index) => {
      const isIt = item.kind !== 'not-a-fact' && item.id === id
      if (isIt && !this.#refused.has(index)) this.#refuseAt(index, code, detail, [issue(index, field, message)])
    })
  }

  /** What is kept is what was not refused; where that is nothing, throws the refusal. */
  result(): FactsKept {
    const kept = this.#list.flatMap((item, index) =>
      item.kind === 'not-a-fact' || this.#refused.has(index) ? [] : [item.id],
    )
    const refused = [...this.#refused.values()].sort((a, b) => a.at - b.at)
    const [first] = refused
    if (!first || kept.length > 0) return { kept, refused }
    const issues = refused.flatMap((refusal) => refusal.issues)
    throw new Refusal(first.code, first.detail, { issues: issues.slice(0, MAX_ISSUES) })
  }

  #refuseAt(at: number, code: ProblemCode, detail: string, issues: FactRefused['issues']): void {
    this.#refused.set(at, { at, code, detail, issues: issues.slice(0, MAX_ISSUES) })
  }
}

/** What an id is told that is taken. */
export const TAKEN = 'This id stands for something else already.'
const issue = (at: number, field: string, message: string) => ({ path: `facts[${at}].${field}`, message })

/** Why something is no fact, field by field. */
function unreadable({ sent }: NotAFact, at: number): [ProblemCode, string, FactRefused['issues']] {
  const read = fact.safeParse(sent)
  const issues = read.success
    ? [{ path: `facts[${at}]`, message: 'is not a fact' }]
    : issuesOf(read.error).map(({ path, message }) => ({
        path: path === '' ? `facts[${at}]` : `facts[${at}].${path}`,
        message,
      }))
  return ['invalid-input', issues.map(({ path, message }) => `${path} ${message}`).join('; '), issues]
}
