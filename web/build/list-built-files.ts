import { createHash } from 'node:crypto'
import type { Plugin } from 'vite'

/** Writes the list of all built files into the service worker, so that it can keep them on the device. */
export function listBuiltFiles(worker: string): Plugin {
  return {
    name: 'list-built-files',
    enforce: 'post',
    generateBundle: {
      // After the page itself has been written.
      order: 'post',
      handler(_options, bundle) {
        const chunk = bundle[worker]
        if (chunk?.type !== 'chunk') return
        const files = Object.values(bundle)
          .filter((file) => file.fileName !== worker && !file.fileName.endsWith('.map'))
          .map((file) => {
            const content = file.type === 'chunk' ? file.code : file.source
            const isHashed = file.fileName.startsWith('assets/')
            const revision = isHashed ? null : createHash('sha256').update(content).digest('hex').slice(0, 16)
            return { url: `/${file.fileName}`, revision }
          })
        chunk.code = chunk.code.replace('__BUILT_FILES__', JSON.stringify(files))
      },
    },
  }
}
