import { ApiProblem } from '@/shared/api/client'

/** What the server keeps of a photo: no side is longer. */
export const LONGEST_SIDE = 3000
const QUALITY = 0.88

// A photo of this size is on its way before it would be made smaller.
const SMALL_BYTES = 3 * 1024 * 1024
// Where the size of a picture is told: after all that a camera writes in front of it.
const HEAD_BYTES = 512 * 1024

const JPEG = 0xffd8
const PNG = 0x89504e47

/** How many dots a JPEG or PNG has, by its head; null for other files, and where it is told further on. */
export function dotsIn(head: DataView): { width: number; height: number } | null {
  if (head.byteLength < 24) return null
  if (head.getUint32(0) === PNG) return { width: head.getUint32(16), height: head.getUint32(20) }
  if (head.getUint16(0) !== JPEG) return null
  for (let at = 2; at + 9 < head.byteLength; at += 2 + head.getUint16(at + 2)) {
    const marker = head.getUint16(at)
    if (marker >> 8 !== 0xff) return null
    const isFrame = marker >= 0xffc0 && marker <= 0xffcf && ![0xffc4, 0xffc8, 0xffcc].includes(marker)
    if (isFrame) return { height: head.getUint16(at + 5), width: head.getUint16(at + 7) }
  }
  return null
}

const isOfPhones = (head: DataView) =>
  head.byteLength > 12 && [4, 5, 6, 7].map((at) => String.fromCharCode(head.getUint8(at))).join('') === 'ftyp'

/**
 * A photo as it is sent: a large one is made smaller on the device, and a kind the server does not read is drawn anew where
 * the browser knows it. What cannot be drawn here goes as it is: the server says what is wrong with it.
 * @throws ApiProblem for a kind of phone picture that neither can read.
 */
export async function photoToSend(file: File): Promise<File> {
  const head = new DataView(await file.slice(0, HEAD_BYTES).arrayBuffer())
  const dots = dotsIn(head)
  if (dots && file.size <= SMALL_BYTES) return file
  try {
    return await drawnAnew(file, dots)
  } catch {
    if (isOfPhones(head))
      throw new ApiProblem(400, '', [], null, { file: { fault: 'heicPicture', line: 0, detail: '' } })
    return file
  }
}

async function drawnAnew(file: File, dots: { width: number; height: number } | null) {
  const share = dots ? LONGEST_SIDE / Math.max(dots.width, dots.height) : 1
  const picture = await createImageBitmap(
    file,
    dots && share < 1 ? { resizeWidth: Math.round(dots.width * share), resizeQuality: 'high' } : {},
  )
  // One whose head did not say how large it is may be larger still.
  const fit = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(Math.round(picture.width * fit), Math.round(picture.height * fit))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  return new File([blob], file.name, { type: blob.type, lastModified: file.lastModified })
}
