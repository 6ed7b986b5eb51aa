import { build } from 'esbuild'

/**
 * The core as it is shipped: bundled. Run from its sources it is slower, because the loader that takes the types
 * away gives every inner function its name again each time that it is made.
 */
export async function builtCore(): Promise<typeof import('@fleam/core')> {
  const { outputFiles } = await build({
    entryPoints: ['core/src/index.ts'],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    write: false,
  })
  const [file] = outputFiles
  return import(`data:text/javascript;base64,${Buffer.from(file?.contents ?? []).toString('base64')}`)
}
