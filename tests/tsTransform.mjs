import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import swc from '@swc/jest'
import { withOwnGlobals } from './ownGlobals.mjs'

const OWN = readFileSync(new URL('ownGlobals.mjs', import.meta.url))

// A module of TypeScript for Jest, which keeps what it made until the module changes or how it is made.
export default {
  createTransformer(options) {
    const scripts = swc.createTransformer(options)
    return {
      ...scripts,
      getCacheKey: (...about) =>
        createHash('sha1')
          .update(scripts.getCacheKey(...about))
          .update(OWN)
          .digest('hex'),
      process(source, path, config) {
        const out = scripts.process(source, path, config)
        return { ...out, code: withOwnGlobals(out.code) }
      },
    }
  },
}
