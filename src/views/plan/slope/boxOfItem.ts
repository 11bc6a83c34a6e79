import { sure } from '../../../core/sure'
import { escapeKey } from '../../../core/slope/escapes'
import type { Item } from '../../../core/slope/items'
import type { Scene } from '../../../core/slope/scene'
import type { Window } from './camera'

/** The box of an item in pixels of the picture; undefined where its band is folded. */
export function boxOfItem(scene: Scene, item: Item): Window | undefined {
  if (item.kind === 'place') {
    const ledge = scene.ledges.find(({ id }) => id === item.place)
    return ledge && { left: ledge.x, top: ledge.y, right: ledge.x + ledge.width, bottom: ledge.y + ledge.height }
  }
  if (item.kind === 'escape') {
    const key = escapeKey(item.move ?? item.position, item.reaction)
    const at = scene.marks.find(({ escape }) => escape.key === key)?.at
    return at && { left: at[0] - 10, top: at[1] - 10, right: at[0] + 10, bottom: at[1] + 10 }
  }
  const move = item.kind === 'answer' ? item.answer : item.move
  const points = scene.lines.find((line) => line.move === move)?.points
  if (!points) return undefined
  const [x, y] = sure(points[points.length >> 1])
  return { left: x - 10, top: y - 10, right: x + 10, bottom: y + 10 }
}
