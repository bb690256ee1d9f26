import path from 'node:path'
import PDFDocument from 'pdfkit'
import { contrast, over, white, writeHex, writeRatio } from '@/core/color'
import type { BrandColor, BrandSheet } from '@/core/formats'

/** A4 in points. */
const [WIDTH, HEIGHT, MARGIN] = [595.28, 841.89, 44]
const INNER = WIDTH - 2 * MARGIN
const [INK, SOFT, LINE] = ['#171717', '#595959', '#d0d0d0']
/** Grounds side by side in one block of the contrast table. */
const ACROSS = 8

const fontFile = (family: string, weight: number) =>
  path.join(
    process.cwd(),
    'node_modules',
    '@fontsource',
    family,
    'files',
    `${family}-latin-${weight}-normal.woff`,
  )

type Sheet = InstanceType<typeof PDFDocument>

function newSheet(title: string): Sheet {
  const sheet = new PDFDocument({ size: 'A4', margin: MARGIN, info: { Title: title } })
  sheet.registerFont('words', fontFile('hanken-grotesk', 400))
  sheet.registerFont('strong', fontFile('hanken-grotesk', 700))
  sheet.registerFont('code', fontFile('jetbrains-mono', 400))
  return sheet
}

/** Begins a new page when less than `height` is left on this one; gives where to go on. */
function room(sheet: Sheet, y: number, height: number): number {
  if (y + height <= HEIGHT - MARGIN) return y
  sheet.addPage()
  return MARGIN
}

const oneLine = { lineBreak: false } as const

function patch(sheet: Sheet, { color }: BrandColor, x: number, y: number, w: number, h: number) {
  sheet
    .rect(x, y, w, h)
    .fillOpacity(color.alpha)
    .fill(writeHex({ ...color, alpha: 1 }))
  sheet.fillOpacity(1).rect(x, y, w, h).lineWidth(0.5).stroke(LINE)
}

function colorRow(sheet: Sheet, color: BrandColor, y: number): void {
  patch(sheet, color, MARGIN, y, 62, 46)
  const x = MARGIN + 76
  sheet
    .font('strong')
    .fontSize(11)
    .fillColor(INK)
    .text(color.name, x, y + 1, oneLine)
  if (color.note) {
    sheet
      .font('words')
      .fontSize(8.5)
      .fillColor(SOFT)
      .text(color.note, x + 190, y + 3, {
        width: INNER - 76 - 190,
        height: 12,
        ellipsis: true,
      })
  }
  sheet.font('code').fontSize(8).fillColor(INK)
  sheet.text(`${color.hex}    ${color.rgb}`, x, y + 19, oneLine)
  sheet.text(`${color.hsl}    ${color.oklch}`, x, y + 32, oneLine)
}

function contrastBlock(sheet: Sheet, { colors, contrasts }: BrandSheet, from: number, top: number) {
  const grounds = colors.slice(from, from + ACROSS)
  const width = (INNER - 96) / ACROSS
  let y = top
  sheet.font('words').fontSize(7).fillColor(SOFT)
  grounds.forEach(({ name }, i) => {
    sheet.text(`on ${name}`, MARGIN + 96 + i * width, y, {
      width: width - 3,
      height: 9,
      ellipsis: true,
    })
  })
  y += 13
  colors.forEach((text, row) => {
    y = room(sheet, y, 20)
    sheet
      .font('words')
      .fontSize(8)
      .fillColor(INK)
      .text(text.name, MARGIN, y + 5, {
        width: 90,
        height: 10,
        ellipsis: true,
      })
    grounds.forEach((ground, i) => {
      const ratio = contrasts[row]![from + i]!
      const x = MARGIN + 96 + i * width
      patch(sheet, ground, x, y, width - 3, 18)
      const seen = over(ground.color, white)
      // The figure itself is written so that it can be read; its sign tells whether the pair can.
      const ink = contrast(white, seen) >= 4.5 ? '#ffffff' : INK
      const sign = ratio >= 4.5 ? '' : ratio >= 3 ? ' large' : ' ×'
      sheet.font('code').fontSize(7).fillColor(ink)
      sheet.text(row === from + i ? '' : `${writeRatio(ratio)}${sign}`, x + 4, y + 5, oneLine)
    })
    y += 20
  })
  return y + 12
}

/** Names, codes and what reads on what, on A4. */
export function drawBrandSheet(brand: BrandSheet): Promise<Uint8Array> {
  const sheet = newSheet(brand.title)
  const chunks: Uint8Array[] = []
  const ended = new Promise<Uint8Array>((resolve, reject) => {
    sheet.on('data', (chunk: Uint8Array) => chunks.push(chunk))
    sheet.on('end', () => resolve(Buffer.concat(chunks)))
    sheet.on('error', reject)
  })
  sheet.font('strong').fontSize(22).fillColor(INK).text(brand.title, MARGIN, MARGIN, oneLine)
  sheet.font('words').fontSize(9).fillColor(SOFT)
  sheet.text('Brand colours', MARGIN, MARGIN + 30, oneLine)
  let y = MARGIN + 58
  if (brand.colors.length === 0) {
    sheet.text('No slot holds a colour yet.', MARGIN, y, oneLine)
    sheet.end()
    return ended
  }
  for (const color of brand.colors) {
    y = room(sheet, y, 60)
    colorRow(sheet, color, y)
    y += 60
  }
  y = room(sheet, y, 90)
  sheet.font('strong').fontSize(12).fillColor(INK).text('What reads on what', MARGIN, y, oneLine)
  sheet.font('words').fontSize(8).fillColor(SOFT)
  sheet.text(
    'Contrast ratio of the row as text on the column as ground (WCAG 2.2): 4.5 and more for text; “large” from 3, for large text and lines; × below.',
    MARGIN,
    y + 17,
    { width: INNER },
  )
  y += 44
  for (let from = 0; from < brand.colors.length; from += ACROSS) {
    y = contrastBlock(sheet, brand, from, room(sheet, y, 60))
  }
  sheet.end()
  return ended
}
