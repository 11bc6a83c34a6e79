/** Downloads a blob as a file of this name. */
export function download(blob: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

export const downloadJson = (text: string, name: string): void =>
  download(new Blob([text], { type: 'application/json' }), name)

/** Hands a file over to another application where the browser can, else downloads it. */
export async function handOver(text: string, name: string): Promise<void> {
  const files = [new File([text], name, { type: 'application/json' })]
  if ('canShare' in navigator && navigator.canShare({ files })) {
    const isShared = await navigator.share({ files }).then(
      () => true,
      (error: unknown) => error instanceof DOMException && error.name === 'AbortError',
    )
    if (isShared) return
  }
  downloadJson(text, name)
}
