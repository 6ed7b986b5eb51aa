import { accessSync, constants, existsSync, mkdirSync, statfsSync, statSync } from 'node:fs'
import { join } from 'node:path'

const MEGABYTE = 1024 * 1024
/** What a new database takes on the disk before anything is in it, with its log and some room to begin. */
const NEW_DATABASE_BYTES = 350 * MEGABYTE
const OTHER_FOLDER = 'Choose another folder with FLEAM_DATA_DIR.'

/** Bytes that may still be written where `folder` lies. */
export function roomIn(folder: string): number {
  const { bavail, bsize } = statfsSync(folder)
  return bavail * bsize
}

/**
 * Makes the data folder, or says in one sentence why nothing can be kept there: something else lies in its place, it
 * cannot be written, or its disk has no room for a new database.
 */
export function prepareDataFolder(folder: string, { hasPrivateDatabase }: { hasPrivateDatabase: boolean }): void {
  try {
    mkdirSync(folder, { recursive: true })
  } catch (error) {
    throw new Error(`${reasonOf(error as NodeJS.ErrnoException, folder)} ${OTHER_FOLDER}`)
  }
  if (!statSync(folder).isDirectory()) throw new Error(`${folder} is a file. ${OTHER_FOLDER}`)
  try {
    accessSync(folder, constants.W_OK)
  } catch (error) {
    throw new Error(`${reasonOf(error as NodeJS.ErrnoException, folder)} ${OTHER_FOLDER}`)
  }
  const isNew = !existsSync(join(folder, 'database', 'data'))
  const room = roomIn(folder)
  if (hasPrivateDatabase && isNew && room < NEW_DATABASE_BYTES) {
    const [left, needed] = [room, NEW_DATABASE_BYTES].map((bytes) => Math.floor(bytes / MEGABYTE))
    throw new Error(`The disk of ${folder} has ${left} MB left, and a new database needs ${needed} MB. ${OTHER_FOLDER}`)
  }
}

function reasonOf({ code, message }: NodeJS.ErrnoException, folder: string): string {
  if (code === 'EEXIST' || code === 'ENOTDIR') return `A file lies where the data folder ${folder} should be.`
  if (code === 'EROFS') return `The disk of the data folder ${folder} is read-only.`
  if (code === 'EACCES' || code === 'EPERM') return `Fleam may not write into the data folder ${folder}.`
  if (code === 'ENOSPC') return `The disk of the data folder ${folder} is full.`
  return `The data folder ${folder} cannot be used: ${message}.`
}
