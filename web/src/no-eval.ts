/**
 * The server forbids pages to make code from text. The schema library tries it, is refused, and the browser counts a
 * violation; told beforehand, it does not try. It reads this when it is loaded.
 */
Object.assign(globalThis, { __zod_globalConfig: { jitless: true } })
