/** Objects and lists inside one another that are read; deeper ones are no hand's work. */
export const deepestJson = 200

/**
 * How deep objects and lists stand inside one another in a JSON text, found
 * without parsing it: what reads the parsed value goes as deep as it is.
 */
export function jsonDepth(text: string): number {
  let [depth, most] = [0, 0]
  let quoted = false
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i)
    if (quoted) {
      if (code === 0x5c) i += 1
      else if (code === 0x22) quoted = false
    } else if (code === 0x22) quoted = true
    else if (code === 0x7b || code === 0x5b) {
      depth += 1
      if (depth > most) most = depth
    } else if (code === 0x7d || code === 0x5d) depth -= 1
  }
  return most
}
