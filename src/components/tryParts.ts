/** One part of a strip of tries, as it is shown. */
export interface TryPart {
  key: string
  kind: 'lands' | 'race' | 'elsewhere' | 'reaction' | 'stalls'
  label: string
  letter?: string
  count: number
}

/** Letters for a position's reactions, in order: A to Z, then AA, AB … */
export function letterOf(i: number): string {
  const last = String.fromCharCode(65 + (i % 26))
  return i < 26 ? last : letterOf(Math.floor(i / 26) - 1) + last
}

/** Width of one try in pixels, so that a strip stays about as wide as twelve of them. */
export function tryWidth(total: number, full: number): number {
  return Math.max(4, Math.min(full, (full * 12) / Math.max(1, total)))
}

/**
 * What dragging the boundary between two parts makes of their counts. `tries` is how far it was dragged, to the right
 * above 0; what one part gains, the other loses.
 */
export function dragged(left: number, right: number, tries: number): [left: number, right: number] {
  const moved = Math.max(-left, Math.min(right, tries))
  return [left + moved, right - moved]
}

/** Digits typed one after the other within a second make one number, up to 1000. */
export class TypedDigits {
  private text = ''
  private at = -Infinity

  type(digit: string, now: number): number {
    this.text = now - this.at < 1000 ? this.text + digit : digit
    if (Number(this.text) > 1000) this.text = digit
    this.at = now
    return Number(this.text)
  }
}
