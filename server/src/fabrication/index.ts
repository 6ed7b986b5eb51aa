export { abandonRecord, recountAll, recountStale } from './figures.ts'
export { insertState, insertStates } from './insert-state.ts'
export { LateFacts } from './late-facts.ts'
export { fabricationRoutes } from './routes.ts'
export { latest, requireDocument, requireOpen, requireState } from './service.ts'
export {
  latestOfEachStyle,
  latestOfStyle,
  openStates,
  recordById,
  stateById,
  statesByIds,
  statesOfLot,
  statusById,
  usedOfLots,
} from './store.ts'
