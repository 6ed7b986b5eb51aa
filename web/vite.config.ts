import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { listBuiltFiles } from './build/list-built-files.ts'
import { operationAddresses } from './build/operation-addresses.ts'
import { preloadFonts } from './build/preload-fonts.ts'
import { scopedName } from './build/scoped-name.ts'

const WORKER = 'service-worker.js'
/** Kept on a device before all others. */
const FIRST_ROOMS = ['/today/today.tsx', '/bench/bench.tsx', '/bench/start/start.tsx']

export default defineConfig({
  plugins: [react(), operationAddresses(), preloadFonts(), listBuiltFiles(WORKER, FIRST_ROOMS)],
  css: {
    modules: { localsConvention: 'camelCase', generateScopedName: scopedName },
    preprocessorOptions: {
      // The style library is written for an older way of the language; it knows.
      scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] },
    },
  },
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
