import { defineConfig } from 'vite'

/** The command line: one file, its packages left outside. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: 'src/cli/ataque.ts',
    outDir: 'dist-cli',
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'ataque.js' } },
  },
})
