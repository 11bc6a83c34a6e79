/** The element that an event comes from. Throws a TypeError where it is of another type: it is wired to a wrong one. */
export function targetOf<E extends Element>(event: Event, type: new () => E): E {
  if (event.target instanceof type) return event.target
  throw new TypeError(`the event should come from a ${type.name}`)
}

/** The element that an event is handled at. Throws a TypeError where it is no HTML element. */
export function handlerOf(event: Event): HTMLElement {
  if (event.currentTarget instanceof HTMLElement) return event.currentTarget
  throw new TypeError('the event should be handled at an HTML element')
}

/** What stands in the field that an event comes from. */
export const valueOf = (event: Event): string => targetOf(event, HTMLInputElement).value

/** The number that stands in the field that an event comes from, with a point or a comma; NaN where none does. */
export const numberOf = (event: Event): number => Number(valueOf(event).replace(',', '.'))
