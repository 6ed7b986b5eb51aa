import loadHighs from 'highs'
import { type SolveProgramme, solveWith } from '../src/solving/index.ts'

/** Time that this process has had: a search is given the same of it however busy the machine is. */
const cpuMs = () => {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}

/** The solver of mixed-integer programmes that the server and the page's worker use. */
export const loadSolver = async (): Promise<SolveProgramme> => solveWith(await loadHighs(), cpuMs)
