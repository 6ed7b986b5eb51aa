import { logbookView } from '@fleam/contract/logbook/findings'
import { table } from '../table.ts'

export const logbookViewTable = table('logbook_views', logbookView, { key: ['kitchenId', 'id'] })
