import { createHash } from 'node:crypto'
import type { Plugin, Rolldown } from 'vite'

type Bundle = Rolldown.OutputBundle
type Chunk = Rolldown.OutputChunk

interface BuiltFile {
  url: string
  revision: string | null
}

/**
 * Writes the lists of all built files into the service worker, so that it can keep them on the device: first what the
 * `firstRooms` need, by the ends of their modules' paths, so that a page comes back soon after its first visit; the rest
 * later.
 */
export function listBuiltFiles(worker: string, firstRooms: readonly string[]): Plugin {
  return {
    name: 'list-built-files',
    enforce: 'post',
    generateBundle: {
      // After the page itself has been written.
      order: 'post',
      handler(_options, bundle) {
        const chunk = bundle[worker]
        if (chunk?.type !== 'chunk') return
        const first = filesOf(bundle, firstRooms)
        const files = Object.values(bundle)
          .filter((file) => file.fileName !== worker && !file.fileName.endsWith('.map'))
          .map((file) => ({ isFirst: first.has(file.fileName), file: builtFile(file) }))
        const listOf = (isFirst: boolean) =>
          JSON.stringify(files.filter((file) => file.isFirst === isFirst).map(({ file }) => file))
        chunk.code = chunk.code
          .replace('__FIRST_FILES__', () => listOf(true))
          .replace('__OTHER_FILES__', () => listOf(false))
      },
    },
  }
}

function builtFile(file: Bundle[string]): BuiltFile {
  const content = file.type === 'chunk' ? file.code : file.source
  const isHashed = file.fileName.startsWith('assets/')
  const revision = isHashed ? null : createHash('sha256').update(content).digest('hex').slice(0, 16)
  return { url: `/${file.fileName}`, revision }
}

/** The page itself and everything that it and some of its rooms import and open, their styles and fonts too. */
function filesOf(bundle: Bundle, rooms: readonly string[]): ReadonlySet<string> {
  const files = new Set(Object.keys(bundle).filter((name) => name.endsWith('.html')))
  const chunks = Object.values(bundle).filter((file): file is Chunk => file.type === 'chunk')
  const entry = chunks.find(({ isEntry, name }) => isEntry && name === 'page')
  const found = chunks.filter(({ facadeModuleId }) => rooms.some((room) => facadeModuleId?.endsWith(room)))
  if (!entry || found.length < rooms.length) throw new Error('A room that is kept first is not among the built files')
  const add = (chunk: Chunk) => {
    if (files.has(chunk.fileName)) return
    files.add(chunk.fileName)
    for (const file of [...(chunk.viteMetadata?.importedCss ?? []), ...(chunk.viteMetadata?.importedAssets ?? [])]) {
      files.add(file)
    }
    for (const name of chunk.imports) addFile(name)
  }
  const addFile = (name: string) => {
    const file = bundle[name]
    if (file?.type === 'chunk') add(file)
  }
  add(entry)
  for (const room of found) {
    add(room)
    // What a room opens only when it is touched: its dialogs.
    for (const name of room.dynamicImports) addFile(name)
  }
  return files
}
