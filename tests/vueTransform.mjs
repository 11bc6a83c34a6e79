import { createHash } from 'node:crypto'
import { compileScript, parse } from '@vue/compiler-sfc'
import scriptTransform from './tsTransform.mjs'

// A .vue file for Jest: script and template become one module, as in the build; styles are left out. What the build's
// plugins resolve by itself (Element Plus) stays a component by name, which a test registers or stubs.
export default {
  createTransformer(options) {
    const scripts = scriptTransform.createTransformer(options)
    return {
      process(source, path, config) {
        const id = createHash('sha1').update(path).digest('hex').slice(0, 8)
        const { descriptor } = parse(source, { filename: path })
        const script = descriptor.scriptSetup ?? descriptor.script
        const fs = { fileExists: () => false, readFile: () => undefined }
        const { content } = script
          ? compileScript(descriptor, { id, inlineTemplate: true, fs })
          : compileScript(parse(`<script setup lang="ts"></script>\n${source}`, { filename: path }).descriptor, {
              ...{ id, inlineTemplate: true, fs },
            })
        return scripts.process(content, `${path}.ts`, config)
      },
    }
  },
}
