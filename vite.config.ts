import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig, type CSSOptions } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

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
    // All of it is kept by the browser, so that it opens in a gym without a network; a newer build waits to be let in.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Ataque',
        short_name: 'Ataque',
        description: 'Chart grappling attack chains, see what they are worth, and mend the leaks.',
        theme_color: '#12302c',
        background_color: '#edf0eb',
        display: 'standalone',
        start_url: '/',
        // What another application shares, or opens with this one, is taken in (public/share.js, views/frame/arrivals).
        share_target: {
          action: '/share',
          method: 'POST',
          enctype: 'multipart/form-data',
          params: {
            text: 'text',
            files: [{ name: 'file', accept: ['application/json', '.json', 'text/*', '.csv', '.graphml', '.zip'] }],
          },
        },
        file_handlers: [
          { action: '/', accept: { 'application/json': ['.json'], 'text/csv': ['.csv'], 'application/zip': ['.zip'] } },
        ],
        icons: [
          { src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        importScripts: ['share.js'],
        globPatterns: ['**/*.{js,css,html,woff2,svg,png,json,wasm}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
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
