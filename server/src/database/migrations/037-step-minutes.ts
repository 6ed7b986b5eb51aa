import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** A key of steps alone; within a text its quotes would be escaped. */
const KEY = '"isOptional":'
const withMinutes = (table: string) =>
  `UPDATE ${table} SET steps = REPLACE(steps, '${KEY}', '"minutes":null,${KEY}')
   WHERE steps LIKE '%${KEY}%' AND steps NOT LIKE '%"minutes":%'`

/** Steps say how long they take: of those that were written before nobody knows. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '037-step-minutes', [withMinutes('styles'), withMinutes('fabrication_boards')])
