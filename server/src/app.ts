import compress from '@fastify/compress'
import swagger from '@fastify/swagger'
import swaggerUi, { type FastifySwaggerUiOptions } from '@fastify/swagger-ui'
import { DESCRIPTION_PAGE_PATH, DESCRIPTION_PATH } from '@fleam/contract/api'
import Fastify, { type FastifyServerOptions, type RouteOptions } from 'fastify'
import { jsonSchemaTransformObject } from 'fastify-type-provider-zod'
import { appraisalRoutes } from './appraisal/index.ts'
import { type Background, forwardToBackground, keepBodiesWhole } from './background/index.ts'
import { buyingRoutes, priceListRoutes } from './buying/index.ts'
import { cautionRoutes } from './cautions/index.ts'
import { lastDayRoutes } from './cold-store/index.ts'
import { Compute } from './compute/index.ts'
import { containerRoutes } from './containers/index.ts'
import type { Database } from './database/index.ts'
import { readDocumentsAside } from './documents/index.ts'
import { fabricationRoutes, LateFacts } from './fabrication/index.ts'
import { factRoutes } from './facts/index.ts'
import { forecastingRoutes } from './forecasting/index.ts'
import { healthRoutes } from './health/index.ts'
import {
  answerOwnPagesOnly,
  answerWithProblems,
  DiskWatch,
  describing,
  type OddAnswer,
  type OnOddAnswer,
  secureAnswer,
  sendFrameworkError,
  servePages,
  takeTurns,
  withSchemas,
} from './http/index.ts'
import { kitchenRoutes } from './kitchen/index.ts'
import { logbookRoutes, logbookViewRoutes } from './logbook/index.ts'
import { importRoutes, logbookImportRoutes, startRoutes } from './new-records/index.ts'
import { kitchenPlanRoutes, planningRoutes } from './planning/index.ts'
import { platingRoutes } from './plating/index.ts'
import { portioningRoutes } from './portioning/index.ts'
import { receivingRoutes } from './receiving/index.ts'
import type { ScaleGateway } from './scale/index.ts'
import { scaleRoutes } from './scale/index.ts'
import { kitchenScheduleRoutes, schedulingRoutes } from './scheduling/index.ts'
import { type Clock, scopesOf } from './scope/index.ts'
import { sheetRoutes } from './sheet/index.ts'
import { styleRoutes } from './style/index.ts'
import { supplierRoutes } from './supplier/index.ts'
import { supplierCardRoutes } from './supplier-card/index.ts'
import { unreadableRoutes } from './unreadable/index.ts'
import { whatIfRoutes } from './what-if/index.ts'

/** Faults of one odd answer that go into the log. */
const MAX_LOGGED = 20
/** A phone at the edge of the network sends a photo within it. */
const PATIENCE_MS = 30_000
/** How often within that time it is looked whether one takes too long. */
const LOOKS = 6
/** Requests of the office that are worked on at once: while one waits for the database another one is made. */
const AT_ONCE = 2
/** Larger than an item with all its styles, and than a full outbox. */
const BODY_LIMIT_BYTES = 512 * 1024

/** The page that shows the description: the product's name, nothing of its maker, and nothing from elsewhere. */
const DESCRIPTION_PAGE: FastifySwaggerUiOptions = {
  routePrefix: DESCRIPTION_PAGE_PATH,
  theme: {
    title: 'Fleam API',
    favicon: [],
    css: [{ filename: 'plain.css', content: '.swagger-ui .topbar { display: none }' }],
  },
  uiConfig: { docExpansion: 'list', displayOperationId: true, validatorUrl: null },
  staticCSP: {
    'default-src': "'none'",
    'script-src': "'self'",
    'style-src': ["'self'", "'unsafe-inline'"],
    'img-src': ["'self'", 'data:'],
    'connect-src': "'self'",
    'frame-ancestors': "'none'",
  },
}

export interface AppOptions {
  database: Database
  scale: ScaleGateway
  clock?: Clock
  logger?: FastifyServerOptions['logger']
  /** Folder of the built pages; null to serve the API alone. */
  pages?: string | null
  /** Where a price feed answers, `http://host:port`; null for none. */
  priceFeed?: string | null
  /** Threads that answer what takes long; null to answer all of it here. */
  background?: Background | null
  /** A folder on the database's disk; null where that is no disk of this machine. */
  disk?: string | null
  /** Told of an answer that is not as its schema says; it is written to the log where nobody listens. */
  onOddAnswer?: (odd: OddAnswer) => void
  /** How long a request may take to arrive, milliseconds: one that drips is ended. */
  patienceMs?: number
  /** Told of each route as it is added, with the schemas by which it is checked. */
  onRoute?: (route: RouteOptions) => void
  /** Names by which it is reached, beside addresses and `localhost`. */
  names?: readonly string[]
}

/** Builds the server without listening, so that tests can inject requests into it. */
export async function buildApp({
  database,
  scale,
  clock = { now: () => new Date() },
  logger = false,
  pages = null,
  priceFeed = null,
  disk: databaseFolder = null,
  background = null,
  onOddAnswer,
  onRoute = () => {},
  names = [],
  patienceMs = PATIENCE_MS,
}: AppOptions) {
  const app = Fastify({
    bodyLimit: BODY_LIMIT_BYTES,
    logger,
    forceCloseConnections: true,
    requestTimeout: patienceMs,
    // An address that cannot be read, or has a part that is longer than any id.
    frameworkErrors: (error, request, reply) => void sendFrameworkError(error, request, reply),
    http: { headersTimeout: patienceMs, connectionsCheckingInterval: patienceMs / LOOKS },
  })
  const tellOdd: OnOddAnswer =
    onOddAnswer ??
    (({ method, url, error }: OddAnswer) =>
      app.log.error({ method, url, issues: error.issues.slice(0, MAX_LOGGED) }, 'An answer is odd.'))
  // JSON is the only body: a form of another site cannot send one without asking first.
  app.removeContentTypeParser('text/plain')
  app.addHook('onRoute', onRoute)
  if (background) {
    forwardToBackground(app, background)
    app.addHook('onClose', () => background.close())
  }
  const disk = new DiskWatch(databaseFolder)
  disk.watch(app)
  answerWithProblems(app, disk)
  answerOwnPagesOnly(app, names)
  await app.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: { title: 'Fleam', version: '1', description: 'Weights to portions, costs and verdicts.' },
    },
    transform: describing(DESCRIPTION_PATH),
    transformObject: jsonSchemaTransformObject,
  })
  await app.register(swaggerUi, DESCRIPTION_PAGE)
  const compute = new Compute()
  app.addHook('onClose', () => compute.close())
  const scopeOf = scopesOf(database, clock)
  const lateFacts = new LateFacts()
  app.addHook('onClose', () => lateFacts.close())
  // Weighing comes first: what it needs is answered without the extras that larger answers get.
  await app.register(async (scope) => {
    const server = withSchemas(scope, tellOdd, onOddAnswer !== undefined)
    scope.addHook('onRequest', secureAnswer)
    healthRoutes(database, disk)(server, scopeOf)
    factRoutes(server, database, scopeOf, (scope, ids) => lateFacts.note(scope, ids))
    scaleRoutes(scale)(server, scopeOf)
    // Told step by step: compressing it would hold the steps back.
    await scope.register(async (inside) => {
      takeTurns(inside, 1)
      priceListRoutes(withSchemas(inside, tellOdd, onOddAnswer !== undefined), scopeOf, compute, priceFeed)
    })
    await scope.register(async (inside) => {
      if (background) keepBodiesWhole(inside)
      else takeTurns(inside, 1)
      logbookImportRoutes(withSchemas(inside, tellOdd, onOddAnswer !== undefined), scopeOf)
    })
  })
  await app.register(async (scope) => {
    const server = withSchemas(scope, tellOdd, onOddAnswer !== undefined)
    scope.addHook('onRequest', secureAnswer)
    readDocumentsAside(scope, compute)
    appraisalRoutes(compute)(server, scopeOf)
    await scope.register(async (inside) => {
      if (background) keepBodiesWhole(inside)
      else takeTurns(inside, 1)
      importRoutes(withSchemas(inside, tellOdd, onOddAnswer !== undefined), scopeOf)
    })
  })
  // Worked out aside, however long it takes: nothing to take turns for.
  await app.register(async (scope) => {
    const server = withSchemas(scope, tellOdd, onOddAnswer !== undefined)
    scope.addHook('onRequest', secureAnswer)
    await scope.register(compress)
    portioningRoutes(compute)(server, scopeOf)
    platingRoutes(compute)(server, scopeOf)
    planningRoutes(compute)(server, scopeOf)
    schedulingRoutes(compute)(server, scopeOf)
    lastDayRoutes(server, scopeOf)
  })
  await app.register(async (scope) => {
    const server = withSchemas(scope, tellOdd, onOddAnswer !== undefined)
    scope.addHook('onRequest', secureAnswer)
    await scope.register(compress)
    takeTurns(scope, AT_ONCE)
    kitchenRoutes(database, clock)(server, scopeOf)
    styleRoutes(server, scopeOf)
    supplierRoutes(server, scopeOf)
    containerRoutes(server, scopeOf)
    cautionRoutes(server, scopeOf)
    startRoutes(server, scopeOf)
    fabricationRoutes(server, scopeOf)
    buyingRoutes(server, scopeOf)
    receivingRoutes(server, scopeOf)
    forecastingRoutes(server, scopeOf)
    logbookRoutes(server, scopeOf)
    logbookViewRoutes(server, scopeOf)
    supplierCardRoutes(server, scopeOf)
    whatIfRoutes(server, scopeOf)
    kitchenPlanRoutes(server, scopeOf)
    kitchenScheduleRoutes(server, scopeOf)
    sheetRoutes(server, scopeOf)
    unreadableRoutes(server, scopeOf)
    server.get(DESCRIPTION_PATH, { schema: { hide: true } }, () => Promise.resolve(app.swagger()))
  })
  await servePages(app, pages)
  return app
}
