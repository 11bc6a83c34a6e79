/** A rectangle: left, top, right, bottom. */
export type Box = readonly [number, number, number, number]

const CELL = 96

/** More cells than any picture has across, so that a cell's key is one number: keys made of text were the slow part. */
const ACROSS = 1 << 20

/** A set of rectangles with a fast test for overlap, kept in a grid of cells. */
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

  /** True where the rectangle overlaps one of the set. */
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
