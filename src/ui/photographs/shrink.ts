import { maxPhotoBytes } from '@/contracts/photograph'

/** Of the longer side; the server keeps no more. */
const maxPixels = 1280
/** How much of the detail is kept; less where a picture is too large all the same. */
const qualities = [0.86, 0.7, 0.5]

const jpegOf = (canvas: HTMLCanvasElement, quality: number): Promise<Blob | null> =>
  new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality))

/**
 * Draws a picture small enough to be sent from a phone, upright and without what the camera wrote beside it.
 * @returns null where the browser cannot read the file as a picture
 */
export async function shrink(file: Blob): Promise<Blob | null> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const scale = Math.min(1, maxPixels / Math.max(picture.width, picture.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(picture.width * scale))
    canvas.height = Math.max(1, Math.round(picture.height * scale))
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
    picture.close()
    for (const quality of qualities) {
      const jpeg = await jpegOf(canvas, quality)
      if (jpeg && jpeg.size <= maxPhotoBytes) return jpeg
    }
    return null
  } catch {
    return null
  }
}
