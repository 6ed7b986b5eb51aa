import loadHighs from 'highs'
import { type SolveProgramme, solveWith } from '../src/index.ts'

/** The solver of integer programmes that the server and the page's worker use. */
export const loadSolver = async (): Promise<SolveProgramme> => solveWith(await loadHighs())
