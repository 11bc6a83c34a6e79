import { writeFileSync } from 'node:fs'
import { kernelText } from './compileKernel'

// Writes the compiled equations as text, so that workers, Node and the tests load the same without asking for a file; a
// test fails when it is out of date.
writeFileSync(new URL('../src/core/solve/kernelBinary.ts', import.meta.url), await kernelText())
