const { options } = require('./.dependency-cruiser.cjs')

/** Folders of the server never form a circle. Read without tests, which stand beside what they test and use the whole house. */
module.exports = {
  forbidden: [
    { name: 'no-circles-between-folders', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
  ],
  options: { ...options, includeOnly: '^server/', exclude: '\\.test\\.ts$' },
}
