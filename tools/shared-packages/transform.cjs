const { createHash } = require('node:crypto')

/** Hands a file of a large package to a test as its worker has loaded it, where the environment allows it. */
module.exports = {
  process: (source, file) => ({
    code: `if (globalThis.requireShared) module.exports = globalThis.requireShared(${JSON.stringify(file)})\nelse {\n${source}\n}`,
  }),
  getCacheKey: (source, file) => createHash('sha1').update(`shared-1\0${file}\0${source}`).digest('hex'),
}
