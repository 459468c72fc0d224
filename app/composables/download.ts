/** Let the browser fetch a file, as large as it may be. */
export function downloadFrom(url: string, name: string): void {
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
}

/** Hand a file made here to the browser's downloads. */
export function download(content: string | ArrayBuffer, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  downloadFrom(url, name)
  // Some browsers still read it after the click has returned.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A title as a file name anyone's disk takes. */
export function fileName(title: string, ending: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${plain || 'edition'}-${ending}`
}
