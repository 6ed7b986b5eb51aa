import { build } from 'esbuild'

/** The parts of the core that are measured. */
interface Parts {
  appraisal: typeof import('@fleam/core/appraisal')
  forecasting: typeof import('@fleam/core/forecasting')
}

/**
 * A part of the core as it is shipped: bundled. Run from its sources it is slower, because the loader that takes the types
 * away gives every inner function its name again each time that it is made.
 */
export async function builtCore<Part extends keyof Parts>(part: Part): Promise<Parts[Part]> {
  const { outputFiles } = await build({
    entryPoints: [`core/src/${part}/index.ts`],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    write: false,
  })
  const [file] = outputFiles
  return import(`data:text/javascript;base64,${Buffer.from(file?.contents ?? []).toString('base64')}`)
}
