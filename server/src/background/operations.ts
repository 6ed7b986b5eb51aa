/**
 * Operations that read more than one page of what a kitchen has, or take in what is large: they are answered by threads
 * beside the server's own, so that no weighing waits for them.
 */
export const IN_BACKGROUND: ReadonlySet<string> = new Set([
  // Lists and documents of many records.
  'listFabrications',
  'listItems',
  'listPlanned',
  'listUnreadable',
  'readDaySchedule',
  'readEvidence',
  // What many records say.
  'summariseLogbook',
  'listLogbook',
  'listChanges',
  'listDoubts',
  'readChart',
  'listLearning',
  'readCurve',
  'listSeasons',
  'listTurns',
  'readPeriod',
  'exportLogbook',
  'importLogbook',
  'recountLogbook',
  'listSupplierCards',
  // The price book, and what rests on it.
  'readArticle',
  'listForms',
  'listTurnedVerdicts',
  'exportPriceList',
  'readPlanGoods',
  // What is taken in whole.
  'importDocument',
  'topUpFromCatalogue',
])
