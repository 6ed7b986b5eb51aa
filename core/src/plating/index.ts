export { bestPlates } from './best-plates.ts'
export type { PlatePiece, PlateWish, Plating, PlatingWish } from './plate.ts'
export { PlatingRun, platePieces } from './plate-pieces.ts'
export type { ProgrammeAnswer, SolveProgramme } from './programme.ts'
