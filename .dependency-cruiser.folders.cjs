const { options } = require('./.dependency-cruiser.cjs')

/** No folder leads back to itself. Tests may look anywhere, so they are left out, which no rule over folders can say. */
module.exports = {
  forbidden: [{ name: 'no-folder-cycles', severity: 'error', scope: 'folder', from: {}, to: { circular: true } }],
  options: { ...options, exclude: { path: '(^|/)dist/|\\.test\\.tsx?$|^[a-z0-9]+/test/' } },
}
