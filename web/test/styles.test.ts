import { readdirSync, readFileSync } from 'node:fs'
import { basename, dirname, join, relative } from 'node:path'

const SOURCE = join(__dirname, '../src')
const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).map((file) => join(SOURCE, file))
const modules = files.filter((file) => file.endsWith('.module.css'))
const parts = files.filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file))
const read = (file: string) => readFileSync(file, 'utf8')
const short = (file: string) => relative(SOURCE, file)
const camel = (name: string) => name.replace(/-+(\w)/g, (_, letter: string) => letter.toUpperCase())

/** Classes that a style module gives to who takes it in. */
function classesOf(file: string): Set<string> {
  const own = read(file)
    .replace(/\/\*.*?\*\//gs, '')
    .replace(/:global\([^)]*\)/g, '')
    .replace(/\{[^{}]*\}/g, '{}')
  return new Set([...own.matchAll(/\.([a-zA-Z][\w-]*)/g)].map(([, name]) => name as string))
}

interface TakenIn {
  part: string
  module: string
  names: Set<string>
  /** A class is chosen by what a record says: any of the module. */
  isChosen: boolean
}

const taken: TakenIn[] = parts.flatMap((part) => {
  const text = read(part)
  return [...text.matchAll(/^import (\w+) from '(.*\.module\.css)'/gm)].map(([, name, path]) => ({
    part,
    module: join(dirname(part), path as string),
    names: new Set([...text.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))].map((found) => found[1] as string)),
    isChosen: text.includes(`${name}[`),
  }))
})

test('every part wears only classes that its style module has', () => {
  const unknown = taken.flatMap(({ part, module, names }) => {
    const known = new Set([...classesOf(module)].map(camel))
    return [...names].filter((name) => !known.has(name)).map((name) => `${short(part)}: ${name}`)
  })
  expect(taken.length).toBeGreaterThan(50)
  expect(unknown).toEqual([])
})

test('every class of a style module is worn', () => {
  const unworn = modules.flatMap((module) => {
    const by = taken.filter((imported) => imported.module === module)
    if (by.length === 0) return [short(module)]
    if (by.some(({ isChosen }) => isChosen)) return []
    return [...classesOf(module)]
      .filter((name) => !by.some(({ names }) => names.has(camel(name))))
      .map((name) => `${short(module)}: ${name}`)
  })
  expect(unworn).toEqual([])
})

test('style modules are called differently, stand in the room that wears them, and only theme and frame are global', () => {
  const names = modules.map((module) => basename(module))
  expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([])
  const roomOf = (file: string) => /^rooms[/\\](\w[\w-]*)/.exec(short(file))?.[1] ?? 'parts'
  const leaning = taken.filter(({ part, module }) => ![roomOf(part), 'parts'].includes(roomOf(module)))
  expect(leaning.map(({ part, module }) => `${short(part)} wears ${short(module)}`)).toEqual([])
  const global = files.filter((file) => /\.s?css$/.test(file) && !modules.includes(file)).map(short)
  expect(global.sort()).toEqual(['app/bootstrap.scss', 'app/frame.css', 'app/theme.css'])
})
