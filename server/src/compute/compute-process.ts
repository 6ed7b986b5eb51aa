import { type WorkAsked, work } from './work.ts'

/** A process of its own for what takes longer than a weighing may wait. It ends with the server. */
process.on('message', (asked: WorkAsked) => {
  void work(asked).then((answered) => process.send?.(answered))
})
process.on('disconnect', () => process.exit(0))
