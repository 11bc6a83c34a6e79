import { useEventListener } from '@vueuse/core'
import { hasSingleKeys } from '../../stores/settings'

/** True where the event's target takes text, so that a letter is not a command. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null
  return Boolean(element?.closest?.('input, textarea, select, [contenteditable="true"], [role="spinbutton"]'))
}

/** When something in which one types last lost the focus, in milliseconds since 1970. */
let leftAt = 0
/** So long after that a letter may still be meant for the field. */
const LINGERS = 400

/** Notes when a field is left. Called once, by the frame. */
export function noteTyping(): void {
  useEventListener(document, 'focusout', ({ target }) => {
    if (isTyping(target)) leftAt = Date.now()
  })
}

/** True where a plain letter may be a command: it is so wanted, and nothing is, or was just now, being typed. */
export function mayCommand(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false
  return hasSingleKeys.value && !isTyping(event.target) && Date.now() - leftAt > LINGERS
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
  if (key === '?' && mayCommand(event)) return 'shortcuts'
  return undefined
}
