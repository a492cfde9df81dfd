import { beforeEach, describe, expect, it, vi } from 'vitest'
import { dotsIn, LONGEST_SIDE, photoToSend } from './phonePhoto'

/** The head of a JPEG: what a camera writes in front, then the frame with its size. */
function jpegHead(width: number, height: number, frame = 0xc0, before = 5000) {
  const view = new DataView(new ArrayBuffer(before + 40))
  view.setUint16(0, 0xffd8)
  view.setUint16(2, 0xffe1)
  view.setUint16(4, before)
  view.setUint16(4 + before, 0xff00 + frame)
  view.setUint16(6 + before, 17)
  view.setUint8(8 + before, 8)
  view.setUint16(9 + before, height)
  view.setUint16(11 + before, width)
  return view
}
const bytesOf = (view: DataView) => new Uint8Array(view.buffer as ArrayBuffer)
const large = (view: DataView, name = 'p.jpg') => new File([bytesOf(view), new Uint8Array(4 * 1024 * 1024)], name)

const asked = vi.fn()
class Canvas {
  constructor(
    readonly width: number,
    readonly height: number,
  ) {}
  getContext = () => ({ drawImage: () => undefined })
  convertToBlob = () => Promise.resolve(new Blob([`${this.width}x${this.height}`], { type: 'image/jpeg' }))
}
beforeEach(() => {
  asked.mockReset()
  vi.stubGlobal('OffscreenCanvas', Canvas)
  vi.stubGlobal('createImageBitmap', async (file: File, how: { resizeWidth?: number }) => {
    asked(how)
    if (file.name.includes('odd')) throw new Error('cannot be drawn')
    return { width: how.resizeWidth ?? 5000, height: (how.resizeWidth ?? 5000) * 0.75, close: () => undefined }
  })
})

describe('the size of a picture', () => {
  it('is found behind what the camera wrote, in plain and progressive JPEGs and in PNGs', () => {
    expect(dotsIn(jpegHead(12000, 9000))).toEqual({ width: 12000, height: 9000 })
    expect(dotsIn(jpegHead(4000, 3000, 0xc2))).toEqual({ width: 4000, height: 3000 })
    const png = new DataView(new ArrayBuffer(30))
    png.setUint32(0, 0x89504e47)
    png.setUint32(16, 640)
    png.setUint32(20, 480)
    expect(dotsIn(png)).toEqual({ width: 640, height: 480 })
  })

  it('is not made up for what is no picture, or is cut short', () => {
    expect(dotsIn(new DataView(new ArrayBuffer(4)))).toBeNull()
    expect(dotsIn(new DataView(new TextEncoder().encode('not a picture, only a letter').buffer))).toBeNull()
    expect(dotsIn(new DataView(jpegHead(10, 10).buffer, 0, 400))).toBeNull()
  })
})

describe('a photo that is sent', () => {
  it('goes as it is while it is small', async () => {
    const file = new File([bytesOf(jpegHead(3000, 2000))], 'small.jpg')
    expect(await photoToSend(file)).toBe(file)
    expect(asked).not.toHaveBeenCalled()
  })

  it('of a hundred million dots is made smaller on the device, its sides in proportion', async () => {
    const sent = await photoToSend(large(jpegHead(12000, 9000)))
    expect(asked).toHaveBeenCalledWith({ resizeWidth: LONGEST_SIDE, resizeQuality: 'high' })
    expect(await sent.text()).toBe(`${LONGEST_SIDE}x${LONGEST_SIDE * 0.75}`)
    expect([sent.name, sent.type]).toEqual(['p.jpg', 'image/jpeg'])
  })

  it('of a kind only the browser reads is drawn anew, and no larger than is kept', async () => {
    const heic = new DataView(new ArrayBuffer(64))
    new Uint8Array(heic.buffer).set(new TextEncoder().encode('ftypheic'), 4)
    const sent = await photoToSend(new File([bytesOf(heic)], 'phone.heic'))
    expect(await sent.text()).toBe('3000x2250')
    await expect(photoToSend(new File([bytesOf(heic)], 'odd.heic'))).rejects.toMatchObject({
      file: { fault: 'heicPicture' },
    })
  })

  it('that cannot be drawn here goes as it is: the server tells what is wrong with it', async () => {
    const file = large(jpegHead(12000, 9000), 'odd.jpg')
    expect(await photoToSend(file)).toBe(file)
  })
})
