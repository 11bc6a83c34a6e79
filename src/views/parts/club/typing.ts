/** True where the event's target takes text, so that a key is not a command. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && Boolean(target.closest('input, textarea, select, [role="spinbutton"]'))
}
