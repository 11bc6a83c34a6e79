import { keysOf } from '../typed'
import { BINARY } from './kernelBinary'

type Row = Int32Array | Float64Array | Uint8Array

/** The exports of src/kernel/equations.ts that are functions; addresses are looked up by name. */
interface Exports {
  memory: { buffer: ArrayBuffer; grow: (pages: number) => number }
  step: (now: number) => void
  record: (now: number) => void
  keep: (now: number) => void
}

type Cells = Record<string, { value: number }>

/* The language's own library does not name what browsers and Node share. */
declare const WebAssembly: {
  Module: new (bytes: Uint8Array) => object
  Instance: new (module: object) => { exports: object }
}
declare function atob(text: string): string

const PAGE = 65_536
/** Nothing lies at address 0, which stands for no address. */
const FIRST = 64

/**
 * The compiled equations and their memory. There is one per program, and it holds the rows of whoever laid them last.
 */
class Kernel {
  readonly exports: Exports
  private readonly cells: Cells
  private owner: object | undefined

  constructor() {
    const exports = start()
    this.exports = exports as Exports
    this.cells = exports as Cells
  }

  /** Copies rows into memory and tells the equations where they are; what was there before is lost. */
  lay<Name extends string>(owner: object, rows: Record<Name, Row>): void {
    const names = keysOf(rows)
    this.owner = owner
    this.makeRoom(names.reduce((sum, name) => sum + rows[name].byteLength + 8, FIRST))
    let at = FIRST
    for (const name of names) {
      at = Math.ceil(at / 8) * 8
      const row = rows[name]
      new Uint8Array(this.exports.memory.buffer, at).set(new Uint8Array(row.buffer, row.byteOffset, row.byteLength))
      this.set(name, at)
      at += row.byteLength
    }
  }

  set(name: string, value: number): void {
    this.cells[name].value = value
  }

  address(name: string): number {
    return this.cells[name].value
  }

  /** Throws where another owner has laid rows since, which would be a bug. */
  assertOwner(owner: object): void {
    if (this.owner !== owner) throw new Error('the memory of the equations holds another game by now')
  }

  private makeRoom(bytes: number): void {
    const missing = bytes - this.exports.memory.buffer.byteLength
    if (missing > 0) this.exports.memory.grow(Math.ceil(missing / PAGE))
  }
}

/** Compiles the equations. Throws, saying what to do, where WebAssembly is missing or switched off. */
function start(): object {
  const bytes = Uint8Array.from(atob(BINARY), (letter) => letter.charCodeAt(0))
  try {
    return new WebAssembly.Instance(new WebAssembly.Module(bytes)).exports
  } catch (cause) {
    throw new Error(
      'this browser does not let Ataque compute (WebAssembly is off or too old): allow it for this page, or use a newer browser',
      { cause },
    )
  }
}

let kernel: Kernel | undefined

/** The kernel, started when it is first asked for. */
export function theKernel(): Kernel {
  kernel ??= new Kernel()
  return kernel
}
