import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { newestChange } from './newest-change.ts'

const OUT = 'server/dist'
const STAMP = join(OUT, '.built')
const SOURCES = ['server/src', 'devices/src', 'core/src', 'contract/src', 'catalogue/src', 'package-lock.json']

/** Programs that run as processes of their own, by the name of their built file. */
const PROGRAMS = {
  server: 'server/src/main.ts',
  'compute-worker': 'server/src/compute/compute-worker.ts',
  'background-thread': 'server/src/background-thread.ts',
  'scale-main': 'devices/src/scale-main.ts',
  'feed-main': 'devices/src/feed-main.ts',
}

/**
 * Packages that look for files beside themselves or choose a part of themselves while they run: drivers, threads,
 * fonts, compiled programs.
 */
const LOADED_FROM_WHERE_THEY_ARE = [
  'sequelize',
  'mysql2',
  '@fastify/swagger-ui',
  'pdfkit',
  '@fontsource/*',
  'highs',
  'piscina',
  'pino',
  'sharp',
]

/** Packages of the older module kind ask for others by `require`, which a module of the newer kind has to make. */
const REQUIRE =
  "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);"

export const builtProgram = (name: keyof typeof PROGRAMS): string => join(OUT, `${name}.mjs`)

/** Builds the server and the stand-ins once for each state of their sources; packages stay where they are installed. */
export async function buildServer(): Promise<void> {
  const stamp = createHash('sha256')
    .update(JSON.stringify(SOURCES.map(newestChange)))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === stamp) return
  const { build } = await import('esbuild')
  mkdirSync(OUT, { recursive: true })
  await build({
    entryPoints: PROGRAMS,
    outdir: OUT,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    // A start reads half as much; names stay, because errors are told by theirs.
    minifyWhitespace: true,
    minifySyntax: true,
    logLevel: 'error',
    // Packages are bundled too, so that a start reads a few files and not thousands; see below for those that cannot.
    external: [...LOADED_FROM_WHERE_THEY_ARE],
    banner: { js: REQUIRE },
  })
  writeFileSync(STAMP, stamp)
}
