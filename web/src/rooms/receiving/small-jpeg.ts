/** Longest side of a kept picture, pixels: enough to see a torn skin. */
const LONGEST_SIDE = 1280
const QUALITY = 0.75

/** A picture file made small, as JPEG in base64. Throws where the browser cannot read it. */
export async function smallJpeg(file: File): Promise<string> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/jpeg', QUALITY).replace(/^data:image\/jpeg;base64,/, '')
}
