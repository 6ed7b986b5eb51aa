export { inlineFile, savedFile, savedJson } from './file.ts'
export { serve } from './serve.ts'
