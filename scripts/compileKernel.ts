import { fileURLToPath } from 'node:url'
import asc from 'assemblyscript/asc'

const OPTIONS = ['-O3', '--runtime', 'stub', '--noAssert', '--enable', 'simd']

/**
 * The equations of src/kernel, compiled, as the source of the constant that the core loads; fails where they do not
 * compile.
 */
export async function kernelText(): Promise<string> {
  const baseDir = fileURLToPath(new URL('..', import.meta.url))
  const args = ['src/kernel/equations.ts', ...OPTIONS, '--baseDir', baseDir, '--outFile', 'kernel.wasm']
  let binary = ''
  const { error, stderr } = await asc.main(args, {
    writeFile: (_, contents) => void (binary = Buffer.from(contents).toString('base64')),
  })
  if (error) throw new Error(stderr.toString())
  return `/** Made by \`npm run kernel\` from src/kernel. */\nexport const BINARY =\n  '${binary}'\n`
}
