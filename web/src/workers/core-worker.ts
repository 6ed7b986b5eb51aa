import '../no-eval.ts'
import { expose } from 'comlink'
import { coreWork } from './core-work.ts'

expose(coreWork)
