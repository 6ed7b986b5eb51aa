import { createHash } from 'node:crypto'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'

const WORKER = 'service-worker.js'

/** Writes the list of all built files into the service worker, so that it can keep them on the device. */
function listBuiltFiles(): Plugin {
  return {
    name: 'list-built-files',
    enforce: 'post',
    generateBundle: {
      // After the page itself has been written.
      order: 'post',
      handler(_options, bundle) {
        const worker = bundle[WORKER]
        if (worker?.type !== 'chunk') return
        const files = Object.values(bundle)
          .filter((file) => file.fileName !== WORKER && !file.fileName.endsWith('.map'))
          .map((file) => {
            const content = file.type === 'chunk' ? file.code : file.source
            const isHashed = file.fileName.startsWith('assets/')
            const revision = isHashed ? null : createHash('sha256').update(content).digest('hex').slice(0, 16)
            return { url: `/${file.fileName}`, revision }
          })
        worker.code = worker.code.replace('__BUILT_FILES__', JSON.stringify(files))
      },
    },
  }
}

export default defineConfig({
  plugins: [react(), listBuiltFiles()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: { page: 'index.html', 'service-worker': 'src/service-worker.ts' },
      output: {
        // Its address must stay the same from one build to the next.
        entryFileNames: ({ name }) => (name === 'service-worker' ? WORKER : 'assets/[name]-[hash].js'),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
})
