import { defineConfig } from 'vite'

/** The bench, bundled as the application and its worker are: imported constants cost nothing in its loops. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: 'bench/main.ts',
    outDir: 'dist-bench',
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'main.js' } },
  },
})
