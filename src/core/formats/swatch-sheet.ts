import { contrast, over, white, writeColor, writeHex, type Color } from '../color'
import type { NamedColor } from './gpl'

const [COLUMNS, WIDTH, HEIGHT, GAP, MARGIN, HEAD] = [4, 200, 150, 16, 32, 76]
const DARK = '#171717'

const escape = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

const shorten = (text: string, most: number) =>
  text.length > most ? `${text.slice(0, most - 1)}…` : text

export interface SheetFonts {
  /** CSS font families for words and for codes. */
  readonly words: string
  readonly codes: string
  /** `@font-face` rules, where the sheet has to carry its fonts. */
  readonly faces?: string
}

const usualFonts: SheetFonts = { words: 'system-ui, sans-serif', codes: 'ui-monospace, monospace' }

function swatch({ name, color }: NamedColor, index: number): string {
  const x = MARGIN + (index % COLUMNS) * (WIDTH + GAP)
  const y = HEAD + Math.floor(index / COLUMNS) * (HEIGHT + GAP)
  const seen: Color = over(color, white)
  const ink = contrast({ r: 1, g: 1, b: 1, alpha: 1 }, seen) >= 4.5 ? '#ffffff' : DARK
  const hex = writeHex({ ...color, alpha: 1 })
  const opacity = color.alpha < 1 ? ` fill-opacity="${Number(color.alpha.toFixed(3))}"` : ''
  return `  <g transform="translate(${x} ${y})">
    <rect width="${WIDTH}" height="${HEIGHT}" rx="8" fill="${hex}"${opacity} stroke="#000000" stroke-opacity="0.15"/>
    <text x="14" y="${HEIGHT - 46}" class="name" fill="${ink}">${escape(shorten(name, 22))}</text>
    <text x="14" y="${HEIGHT - 28}" class="code" fill="${ink}">${writeHex(color)}</text>
    <text x="14" y="${HEIGHT - 13}" class="code" fill="${ink}">${writeColor(color, 'hsl')}</text>
  </g>`
}

/** How large a sheet of so many swatches is, in CSS pixels. */
export function sheetSize(count: number): { readonly width: number; readonly height: number } {
  const rows = Math.max(1, Math.ceil(count / COLUMNS))
  return {
    width: 2 * MARGIN + COLUMNS * WIDTH + (COLUMNS - 1) * GAP,
    height: HEAD + rows * (HEIGHT + GAP) - GAP + MARGIN,
  }
}

/** A sheet of swatches as SVG 1.1: each with its name, hex and hsl. */
export function writeSwatchSheet(
  title: string,
  colors: readonly NamedColor[],
  fonts: SheetFonts = usualFonts,
): string {
  const { width, height } = sheetSize(colors.length)
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
  <title>${escape(title)}</title>
  <style>${fonts.faces ?? ''}
    .title { font: 700 24px ${fonts.words}; }
    .name { font: 600 14px ${fonts.words}; }
    .code { font: 11px ${fonts.codes}; }
  </style>
  <rect width="${width}" height="${height}" fill="#ffffff"/>
  <text x="${MARGIN}" y="46" class="title" fill="${DARK}">${escape(shorten(title, 50))}</text>
${colors.map(swatch).join('\n')}
</svg>
`
}
