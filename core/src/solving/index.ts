export type { ProgrammeProgress, Solved, SolveProgramme, Term } from './programme.ts'
export { Programme, solveWith } from './programme.ts'
