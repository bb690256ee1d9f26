import { writeColor, writeHex } from '../color'
import type { NamedColor } from './gpl'

/** Name and hex code, a colour to a line, for mail and notes. */
export function writePlainText(colors: readonly NamedColor[]): string {
  const longest = Math.max(0, ...colors.map(({ name }) => name.length))
  return colors
    .map(({ name, color }) =>
      [name.padEnd(longest), writeHex(color).padEnd(9), writeColor(color, 'rgb')].join('  ').trim(),
    )
    .map((line) => `${line}\n`)
    .join('')
}
