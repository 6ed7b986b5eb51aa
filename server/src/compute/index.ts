export { Compute } from './compute.ts'
