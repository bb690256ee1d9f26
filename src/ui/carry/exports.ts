import {
  namedColors,
  sheetSize,
  writeCssProperties,
  writeGpl,
  writePlainText,
  writeSwatchSheet,
  writeTokens,
} from '@/core/formats'
import type { Frame } from '@/core/site'

export interface ExportFormat {
  readonly id: string
  readonly label: string
  readonly hint: string
  readonly ending: string
  readonly mediaType: string
  readonly write: (frame: Frame) => string | Promise<string | Blob>
}

const FONTS = [
  ['Sheet Words', '/fonts/sheet-words.woff2', '400 700'],
  ['Sheet Codes', '/fonts/sheet-codes.woff2', '400'],
] as const

async function dataUrl(address: string): Promise<string> {
  const blob = await (await fetch(address)).blob()
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(reader.result as string)
    reader.onerror = () => reject(reader.error ?? new Error('not read'))
    reader.readAsDataURL(blob)
  })
}

/** The swatch sheet with its fonts inside: a picture of its own cannot ask for them. */
async function sheetWithFonts(frame: Frame): Promise<string> {
  const faces = await Promise.all(
    FONTS.map(
      async ([family, address, weight]) =>
        `@font-face { font-family: "${family}"; font-weight: ${weight}; src: url("${await dataUrl(address)}") format("woff2"); }`,
    ),
  )
  return writeSwatchSheet(frame.name, namedColors(frame.palette), {
    words: '"Sheet Words", sans-serif',
    codes: '"Sheet Codes", monospace',
    faces: faces.join('\n'),
  })
}

/** Twice the size in CSS pixels, for sharp edges on paper and on fine screens. */
const FINE = 2

async function writePng(frame: Frame): Promise<Blob> {
  const { width, height } = sheetSize(namedColors(frame.palette).length)
  const image = new Image(width * FINE, height * FINE)
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await sheetWithFonts(frame))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = width * FINE
  canvas.height = height * FINE
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  )
}

/** What the palette can be taken away as; a new one is a line here. The PDF is drawn on the server. */
export const exportFormats: readonly ExportFormat[] = [
  {
    id: 'tokens',
    label: 'Design tokens',
    hint: 'W3C format, colours as objects; slots, shades, themes as aliases',
    ending: 'tokens.json',
    mediaType: 'application/json',
    write: ({ palette, themes }) => writeTokens(palette, themes, 'object'),
  },
  {
    id: 'tokens-hex',
    label: 'Design tokens, hex',
    hint: 'The same with colours as text, for older tools',
    ending: 'hex.tokens.json',
    mediaType: 'application/json',
    write: ({ palette, themes }) => writeTokens(palette, themes, 'string'),
  },
  {
    id: 'css',
    label: 'CSS custom properties',
    hint: '--slot-brand and its shades',
    ending: 'css',
    mediaType: 'text/css',
    write: ({ palette }) => writeCssProperties(palette),
  },
  {
    id: 'gpl',
    label: 'GIMP palette',
    hint: '.gpl, read by most drawing programs',
    ending: 'gpl',
    mediaType: 'text/plain',
    write: ({ name, palette }) => writeGpl(name, namedColors(palette)),
  },
  {
    id: 'svg',
    label: 'Swatch sheet, SVG',
    hint: 'Names and codes, as a vector picture',
    ending: 'svg',
    mediaType: 'image/svg+xml',
    write: sheetWithFonts,
  },
  {
    id: 'png',
    label: 'Swatch sheet, PNG',
    hint: 'The same as a picture',
    ending: 'png',
    mediaType: 'image/png',
    write: writePng,
  },
  {
    id: 'text',
    label: 'Plain text',
    hint: 'A colour to a line, for mail',
    ending: 'txt',
    mediaType: 'text/plain',
    write: ({ palette }) => writePlainText(namedColors(palette)),
  },
]

/** Hands a file to the browser to keep. */
export function saveFile(content: string | Blob, mediaType: string, fileName: string): void {
  const blob = typeof content === 'string' ? new Blob([content], { type: mediaType }) : content
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = fileName
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
