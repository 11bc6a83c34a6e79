/** Says something aloud, as soon as what is being said is over; does nothing where the browser has no voice. */
export function sayAloud(text: string): Promise<void> {
  if (typeof speechSynthesis === 'undefined') return Promise.resolve()
  const saying = new SpeechSynthesisUtterance(text)
  return new Promise((resolve) => {
    saying.onend = () => resolve()
    saying.onerror = () => resolve()
    speechSynthesis.speak(saying)
  })
}

/** Stops whatever is being said. */
export const hush = (): void => {
  if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
}
