/** How long a file's address stays good: some browsers read it only after the person has said where to keep it. */
const KEPT_MS = 60_000

/** Hands a file to the browser to be kept; the page stays as it is. */
export function saveFile(file: Blob, name: string) {
  const address = URL.createObjectURL(file)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  document.body.append(link)
  link.click()
  link.remove()
  setTimeout(() => URL.revokeObjectURL(address), KEPT_MS)
}
