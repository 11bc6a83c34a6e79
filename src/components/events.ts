/** What stands in the field that an event comes from. */
export const valueOf = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value

/** Whether the box that an event comes from is ticked. */
export const isChecked = (event: Event): boolean => (event.target as HTMLInputElement).checked
