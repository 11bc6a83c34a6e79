import type { Item } from '../../../core/slope/items'
import type { Asking } from './slopeEdits'

/** The actions of keys on the Slope. */
export interface Deeds {
  at: () => Item | undefined
  into: () => void
  back: () => void
  aside: (by: 1 | -1) => void
  land: () => void
  home: () => void
  open: () => void
  ask: (what: Asking) => void
  remove: () => void
  push: (x: number, row: number, join?: string) => void
  toggle: () => void
  clear: () => void
  zoom: (by: 'in' | 'out' | 'fit' | 'selection') => void
  pan: (x: number, y: number) => void
  panel: (name: 'detail' | 'text') => void
  focusHere: () => void
}

/** Pixels by which a key moves a place, and pans the picture. */
const PUSH = 24
const PAN = 80

/** Does the action of a key; returns whether it has one. */
export function onSlopeKey(event: KeyboardEvent, deeds: Deeds): boolean {
  // Alt with an arrow is the browser's way back.
  if (event.altKey || event.metaKey) return false
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const does = event.ctrlKey
    ? pushed(key, deeds)
    : event.shiftKey
      ? panned(key, deeds)
      : (walked(key, deeds) ?? worked(key, deeds))
  does?.()
  return Boolean(does)
}

function pushed(key: string, { push }: Deeds): (() => void) | undefined {
  const by: Record<string, () => void> = {
    ArrowLeft: () => push(-PUSH, 0, 'push'),
    ArrowRight: () => push(PUSH, 0, 'push'),
    ArrowUp: () => push(0, -1),
    ArrowDown: () => push(0, 1),
  }
  return by[key]
}

function panned(key: string, { pan, zoom }: Deeds): (() => void) | undefined {
  const by: Record<string, () => void> = {
    ArrowLeft: () => pan(PAN, 0),
    ArrowRight: () => pan(-PAN, 0),
    ArrowUp: () => pan(0, PAN),
    ArrowDown: () => pan(0, -PAN),
    '+': () => zoom('in'),
  }
  return by[key]
}

function walked(key: string, deeds: Deeds): (() => void) | undefined {
  const by: Record<string, () => void> = {
    ArrowRight: deeds.into,
    ArrowLeft: deeds.back,
    ArrowDown: () => deeds.aside(1),
    ArrowUp: () => deeds.aside(-1),
    Home: deeds.home,
    l: deeds.land,
    Enter: deeds.open,
    ' ': deeds.toggle,
    Escape: deeds.clear,
    '+': () => deeds.zoom('in'),
    '=': () => deeds.zoom('in'),
    '-': () => deeds.zoom('out'),
    '0': () => deeds.zoom('fit'),
    z: () => deeds.zoom('selection'),
    f: deeds.focusHere,
    i: () => deeds.panel('detail'),
    t: () => deeds.panel('text'),
  }
  return by[key]
}

function worked(key: string, deeds: Deeds): (() => void) | undefined {
  const item = deeds.at()
  if (key === 'p') return () => deeds.ask({ for: 'position', item })
  if (key === 'Delete' || key === 'Backspace') return deeds.remove
  if (!item) return undefined
  if (key === 'F2') return () => deeds.ask({ for: 'rename', item })
  if (key === 'n' && item.kind === 'place') return () => deeds.ask({ for: 'say', item })
  if (key === 'r' && item.kind === 'move') return () => deeds.ask({ for: 'reaction', item })
  if (key === 'a' && item.kind === 'escape') return () => deeds.ask({ for: 'answer', item })
  if (key === 'm' && (item.kind === 'place' || item.kind === 'escape')) return () => deeds.ask({ for: 'landing', item })
  return undefined
}
