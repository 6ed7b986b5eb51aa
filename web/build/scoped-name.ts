import { basename } from 'node:path'

/**
 * What a class of a style module is called in the page: its file and its own name, so that a page can be read.
 * Files must be called differently; a test of the styles holds that.
 */
export const scopedName = (name: string, file: string): string =>
  `${basename(file.split('?')[0] as string, '.module.css')}_${name}`
