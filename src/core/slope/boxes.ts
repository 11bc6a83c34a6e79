/** A rectangle: left, top, right, bottom. */
export type Box = readonly [number, number, number, number]

const CELL = 96

/** Cells across, more than any picture has: a cell's number is one number, since texts as keys cost most of a look. */
const ACROSS = 1 << 20

/** Rectangles that are taken, looked up by where they are. */
export class Boxes {
  private readonly cells = new Map<number, Box[]>()

  add(box: Box): void {
    const [left, top, right, bottom] = box
    for (let x = Math.floor(left / CELL); x <= Math.floor(right / CELL); x++) {
      for (let y = Math.floor(top / CELL); y <= Math.floor(bottom / CELL); y++) {
        const cell = this.cells.get(y * ACROSS + x)
        if (cell) cell.push(box)
        else this.cells.set(y * ACROSS + x, [box])
      }
    }
  }

  /** Whether it would lie on one that is taken. */
  hits([left, top, right, bottom]: Box): boolean {
    for (let x = Math.floor(left / CELL); x <= Math.floor(right / CELL); x++) {
      for (let y = Math.floor(top / CELL); y <= Math.floor(bottom / CELL); y++) {
        for (const box of this.cells.get(y * ACROSS + x) ?? NONE) {
          if (box[0] < right && left < box[2] && box[1] < bottom && top < box[3]) return true
        }
      }
    }
    return false
  }
}

const NONE: readonly Box[] = []
