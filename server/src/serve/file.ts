import type { Readable } from 'node:stream'

/** A file that is answered, and whether a browser shows it or saves it under its name. */
export class AnsweredFile {
  readonly content: string | Buffer | Readable
  readonly disposition: string | null

  constructor(content: string | Buffer | Readable, disposition: string | null) {
    this.content = content
    this.disposition = disposition
  }
}

/** A file that a browser saves. */
export const savedFile = (name: string, content: string | Buffer | Readable) =>
  new AnsweredFile(content, `attachment; filename="${name}"`)

/** A file that a browser shows; without a name where it is part of a page. */
export const inlineFile = (content: string | Buffer, name?: string) =>
  new AnsweredFile(content, name === undefined ? null : `inline; filename="${name}"`)

/** A JSON answer that a browser saves. */
export class SavedJson<Value> {
  readonly name: string
  readonly value: Value

  constructor(name: string, value: Value) {
    this.name = name
    this.value = value
  }
}

/** A JSON answer that a browser keeps as a file of this name. */
export const savedJson = <Value>(name: string, value: Value) => new SavedJson(name, value)
