import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig, type CSSOptions } from 'vite'

type PostcssPlugin = NonNullable<Exclude<CSSOptions['postcss'], string | undefined>['plugins']>[number]

/**
 * The library's styles in a layer of their own: what we say goes before them. Each file says the order of the layers,
 * since any of them may be the first that is loaded.
 */
const libraryInALayer: PostcssPlugin = {
  postcssPlugin: 'library-in-a-layer',
  Once(root, { AtRule }) {
    if (!root.source?.input.file?.includes('/element-plus/')) return
    root.walkAtRules('charset', (rule) => void rule.remove())
    const layer = new AtRule({ name: 'layer', params: 'library', nodes: root.nodes })
    root.removeAll()
    root.append(new AtRule({ name: 'layer', params: 'elements, library' }), layer)
  },
}

/** The application. Fonts stay files of their own, since the content security policy allows no `data:` fonts. */
export default defineConfig({
  plugins: [
    vue(),
    AutoImport({ resolvers: [ElementPlusResolver()], dts: false }),
    Components({ resolvers: [ElementPlusResolver()], dirs: [], dts: false }),
  ],
  // What vue-i18n has for older ways of use, and for the browser's tools.
  define: {
    __VUE_I18N_LEGACY_API__: false,
    __VUE_I18N_FULL_INSTALL__: false,
    __INTLIFY_PROD_DEVTOOLS__: false,
  },
  css: { postcss: { plugins: [libraryInALayer] } },
  worker: { format: 'es' },
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  server: { port: 5173 },
})
