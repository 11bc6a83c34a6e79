/** A rectangle: left, top, right, bottom. */
export type Box = readonly [number, number, number, number]

const CELL = 96

/** Rectangles that are taken, looked up by where they are. */
export class Boxes {
  private readonly cells = new Map<string, Box[]>()

  add(box: Box): void {
    this.eachCell(box, (key) => {
      const cell = this.cells.get(key)
      if (cell) cell.push(box)
      else this.cells.set(key, [box])
      return false
    })
  }

  /** Whether it would lie on one that is taken. */
  hits([left, top, right, bottom]: Box): boolean {
    return this.eachCell([left, top, right, bottom], (key) =>
      (this.cells.get(key) ?? []).some((box) => box[0] < right && left < box[2] && box[1] < bottom && top < box[3]),
    )
  }

  private eachCell([left, top, right, bottom]: Box, visit: (key: string) => boolean): boolean {
    for (let x = Math.floor(left / CELL); x <= Math.floor(right / CELL); x++) {
      for (let y = Math.floor(top / CELL); y <= Math.floor(bottom / CELL); y++) if (visit(`${x} ${y}`)) return true
    }
    return false
  }
}
