import { message } from '@/core/message/message'
import sharp, { type Sharp } from 'sharp'
import { fail, succeed, type Result } from '@/core/result'
import type { Pictures } from '@/data/queries/photographs'
import { inTurn } from './drawingQueue'

/** Pixels of the longer side, and how much of the detail is kept: what a screen shows, no more. */
const drawn = { whole: { pixels: 1280, quality: 76 }, small: { pixels: 320, quality: 66 } }
/** Larger pictures no phone takes; a small file may pretend to be one. */
const maxPixels = 60_000_000

/** Beginnings of the files that are read. Nothing else is given to the decoder: some kinds run scripts or fetch other files. */
const signatures: readonly (readonly [at: number, bytes: string])[] = [
  [0, '\u00ff\u00d8\u00ff'],
  [0, '\u0089PNG\r\n\u001a\n'],
  [8, 'WEBP'],
]
const isPicture = (file: Uint8Array): boolean =>
  signatures.some(
    ([at, bytes]) => Buffer.from(file.subarray(at, at + bytes.length)).toString('latin1') === bytes,
  )

// One thread a picture: two are drawn at a time, and whoever taps needs the rest.
sharp.concurrency(1)

/** A picture drawn anew, without what the camera wrote beside it: its place, its maker, its owner. */
export interface Drawn {
  readonly pictures: Pictures
  /** Of the whole picture. */
  readonly widthPixels: number
  readonly heightPixels: number
}

const drawAt = (picture: Sharp, { pixels, quality }: (typeof drawn)['whole']): Sharp =>
  picture
    .clone()
    .resize({ width: pixels, height: pixels, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality, mozjpeg: true })

/**
 * Draws a sent file anew in the sizes that are kept, upright.
 * @param file a JPEG, PNG or WebP file
 */
export const drawPictures = (file: Uint8Array): Promise<Result<Drawn>> => inTurn(() => drawNow(file))

async function drawNow(file: Uint8Array): Promise<Result<Drawn>> {
  const unreadable = fail({
    path: 'jpeg',
    found: message('problems.photo.noPicture', { bytes: file.byteLength }),
    fix: message('problems.photo.format'),
  })
  if (!isPicture(file)) return unreadable
  try {
    // Sizes stand at the beginning: what is too large is refused before anything is decoded.
    const { width, height } = await sharp(file, { limitInputPixels: false }).metadata()
    if (width * height > maxPixels) return unreadable
    const picture = sharp(file, { limitInputPixels: maxPixels, failOn: 'error' })
      .autoOrient()
      .flatten({ background: '#fff' })
    const { data, info } = await drawAt(picture, drawn.whole).toBuffer({ resolveWithObject: true })
    const small = await drawAt(sharp(data), drawn.small).toBuffer()
    return succeed({ pictures: { whole: data, small }, widthPixels: info.width, heightPixels: info.height })
  } catch {
    return unreadable
  }
}
