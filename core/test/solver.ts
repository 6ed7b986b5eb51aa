import loadHighs from 'highs'
import { type SolveProgramme, solveWith } from '../src/solving/index.ts'

/** The solver of mixed-integer programmes that the server and the page's worker use. */
export const loadSolver = async (): Promise<SolveProgramme> => solveWith(await loadHighs())
