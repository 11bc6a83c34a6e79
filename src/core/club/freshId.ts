/** An id for the log: numbered on from the last, so that ids stay short however many there are. */
export function freshId(list: readonly { id: string }[], letter: string): string {
  const last = Number(list.at(-1)?.id.slice(1))
  for (let n = Number.isInteger(last) ? last + 1 : list.length + 1; ; n++) {
    const id = `${letter}${n}`
    if (!list.some((one) => one.id === id)) return id
  }
}
