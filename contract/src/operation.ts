import { id } from '@fleam/core/values'
import { z } from 'zod'
import type { ProblemCode } from './problem.ts'

/** An answer that is no JSON: a page, a table, a picture. */
export interface FileAnswer {
  mediaType: string
}

/** Events of a server, for as long as somebody listens; each one is JSON by a schema. */
export interface EventsAnswer<Event extends z.ZodType = z.ZodType> extends FileAnswer {
  mediaType: 'text/event-stream'
  event: Event
}

/** Lines of JSON while the work goes on: how far it is, and in the end its result or a problem. */
export interface StepsAnswer<Result extends z.ZodType = z.ZodType> extends FileAnswer {
  mediaType: 'application/x-ndjson'
  result: Result
}

/** An answer that is a file of this media type. */
export const file = (mediaType: string): FileAnswer => ({ mediaType })
/** An answer that is a stream of server events, each by a schema. */
export const events = <Event extends z.ZodType>(event: Event): EventsAnswer<Event> => ({
  mediaType: 'text/event-stream',
  event,
})
/** An answer that comes line by line: how far the work is, and in the end its result. */
export const steps = <Result extends z.ZodType>(result: Result): StepsAnswer<Result> => ({
  mediaType: 'application/x-ndjson',
  result,
})

/** What is written down of an operation. */
interface OperationData {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** Parameters have names of their own: `/api/kitchens/:kitchenId/lots/:lotId`. */
  path: `/api/${string}`
  summary: string
  description?: string
  /** Parameters of the path that are no ids. */
  params?: Readonly<Record<string, z.ZodType>>
  query?: z.ZodType
  body?: z.ZodType
  /** The largest body in bytes, where it may be larger than others. */
  bodyLimit?: number
  answer: z.ZodType | FileAnswer
  /** The status of the answer, where it is not 200. */
  status?: 201
  /** The same answer with another status, where the operation cannot do what it is for. */
  failsWith?: 503
  /** Refusals beyond those that follow from what it takes. */
  refuses?: readonly ProblemCode[]
  /** Who asks: a bench, where weighing goes on, or an office. */
  actor?: 'bench'
}

/** An operation of the API: its route, its description, its client and its query key are made from it. */
export interface Operation extends OperationData {
  id: string
  /** What the description of the API lists it under. */
  capability: string
}

type Operations<Table extends Readonly<Record<string, OperationData>>> = {
  readonly [Id in keyof Table]: Table[Id] & { id: Id; capability: string }
}

/** The operations of a capability, each under its id. */
export const operations = <const Table extends Readonly<Record<string, OperationData>>>(
  capability: string,
  table: Table,
): Operations<Table> =>
  Object.fromEntries(
    Object.entries(table).map(([operationId, data]) => [operationId, { ...data, id: operationId, capability }]),
  ) as Operations<Table>

type ParamNames<Path extends string> = Path extends `${string}/:${infer Name}/${infer Rest}`
  ? Name | ParamNames<`/${Rest}`>
  : Path extends `${string}/:${infer Name}`
    ? Name
    : never

/** The parameters of an operation's path. */
export type ParamsOf<O extends Operation> = {
  [Name in ParamNames<O['path']>]: O['params'] extends Readonly<Record<Name, z.ZodType>>
    ? z.output<O['params'][Name]>
    : string
}

/** The schema of the parameters of an operation's path; undefined where it has none. */
export function paramsOf({ path, params = {} }: Pick<Operation, 'path' | 'params'>): z.ZodObject | undefined {
  const names = [...path.matchAll(/:(\w+)/g)].map(([, name]) => name as string)
  return names.length === 0 ? undefined : z.object(Object.fromEntries(names.map((name) => [name, params[name] ?? id])))
}

/** What an operation answers: the value of its JSON, or of the events or the result of its stream. */
export type AnswerOf<O extends Operation> = O['answer'] extends z.ZodType
  ? z.output<O['answer']>
  : O['answer'] extends EventsAnswer<infer Event>
    ? z.output<Event>
    : O['answer'] extends StepsAnswer<infer Result>
      ? z.output<Result>
      : unknown
