export { isLong, readDocumentsAside } from './read-aside.ts'
