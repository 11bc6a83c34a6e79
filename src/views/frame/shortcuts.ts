/** Shortcuts of all screens. None is used by the browser; plain letters are ignored while text is typed. */
export const SHORTCUTS: { keys: string; does: string; where: string }[] = [
  { keys: 'Ctrl K', does: 'Find anything: positions, moves, reactions, screens, actions', where: 'Everywhere' },
  { keys: 'Ctrl Z', does: 'Undo', where: 'Everywhere' },
  { keys: 'Ctrl Shift Z', does: 'Redo', where: 'Everywhere' },
  { keys: '?', does: 'This list', where: 'Everywhere' },
  { keys: 'Enter', does: 'Open a figure, a name or a loose end', where: 'Everywhere' },
  { keys: 'Escape', does: 'Close, or give up what is being typed', where: 'Everywhere' },
  { keys: '/', does: 'Search the positions', where: 'Worksheet' },
  { keys: 'N', does: 'Say a move in a line', where: 'Worksheet' },
  { keys: '↓ ↑', does: 'Next or last move or reaction', where: 'Worksheet, on a move or reaction' },
  { keys: 'A', does: 'Add an answer', where: 'Worksheet, on a reaction' },
  { keys: 'L', does: 'Change the fork as a line', where: 'Worksheet, on a move' },
  { keys: 'Alt ↑ ↓', does: 'Move it up or down', where: 'Worksheet, on a position, move, reaction or answer' },
  {
    keys: 'Delete',
    does: 'Take it away (undo brings it back)',
    where: 'Worksheet, on a position, move, reaction or answer',
  },
  { keys: '→ ←', does: 'Into the next move, its reaction, the answer, where it lands; and back', where: 'Slope' },
  { keys: '↓ ↑', does: 'The next of those side by side', where: 'Slope' },
  { keys: 'L', does: 'To where it lands', where: 'Slope, on a move' },
  { keys: 'Home', does: 'To the start', where: 'Slope' },
  { keys: 'P', does: 'New position', where: 'Slope' },
  { keys: 'N', does: 'Say a move in a line', where: 'Slope, on a position' },
  { keys: 'M', does: 'Draw a move, or an answer, to where it lands', where: 'Slope, on a position or a reaction' },
  { keys: 'R', does: 'What they do about it', where: 'Slope, on a move' },
  { keys: 'A', does: 'Add an answer', where: 'Slope, on a reaction' },
  { keys: 'F2', does: 'Rename', where: 'Slope' },
  { keys: 'Space', does: 'Select this one too', where: 'Slope, on a position' },
  { keys: 'Alt ← → ↑ ↓', does: 'Put it by hand', where: 'Slope, on a position or what is selected' },
  { keys: 'F', does: 'Only what is around it', where: 'Slope, on a position' },
  { keys: '+ − 0 Z', does: 'Zoom in, out, to all of it, to what is selected or in focus', where: 'Slope' },
  { keys: 'Shift ← → ↑ ↓', does: 'Pan', where: 'Slope' },
  { keys: 'I, T', does: 'In detail; as text', where: 'Slope' },
  { keys: '← →', does: 'One try less or more', where: 'On a part of the ten tries' },
  { keys: '0 … 9', does: 'Set the count', where: 'On a part of the ten tries' },
]

/** True where the event's target takes text, so that a letter is not a command. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null
  return Boolean(element?.closest?.('input, textarea, select, [contenteditable="true"], [role="spinbutton"]'))
}

/** The action of a key on every screen; undefined where it has none. */
export function shortcutOf(event: KeyboardEvent): 'undo' | 'redo' | 'palette' | 'shortcuts' | undefined {
  const key = event.key.toLowerCase()
  const command = event.ctrlKey || event.metaKey
  const field = (event.target as Partial<HTMLElement> | null)?.closest?.<HTMLInputElement>(
    'input:not([type="range"]), textarea',
  )
  const writes = Boolean(field?.value)
  if (command && key === 'k') return 'palette'
  if (command && key === 'z' && !writes) return event.shiftKey ? 'redo' : 'undo'
  if (command && key === 'y' && !writes) return 'redo'
  if (!command && !event.altKey && key === '?' && !isTyping(event.target)) return 'shortcuts'
  return undefined
}
