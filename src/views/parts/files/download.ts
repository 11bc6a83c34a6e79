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
