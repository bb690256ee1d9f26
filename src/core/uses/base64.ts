const WHOLE = /^[A-Za-z0-9+/]*={0,2}$/

/** Text out of base64 (RFC 4648 §4, with its padding); undefined for what is none, or no UTF-8. */
export function fromBase64(letters: string): string | undefined {
  if (letters.length % 4 !== 0 || !WHOLE.test(letters)) return undefined
  const bytes = Uint8Array.from(atob(letters), (byte) => byte.charCodeAt(0))
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes)
  } catch {
    return undefined
  }
}

const AT_ONCE = 8192

export function toBase64(text: string): string {
  const bytes = new TextEncoder().encode(text)
  let binary = ''
  for (let at = 0; at < bytes.length; at += AT_ONCE) {
    binary += String.fromCharCode(...bytes.subarray(at, at + AT_ONCE))
  }
  return btoa(binary)
}

/** Where in UTF-8 each UTF-16 unit of a text begins, and where it ends. */
export function byteOffsets(text: string): Uint32Array {
  const offsets = new Uint32Array(text.length + 1)
  let at = 0
  for (let i = 0; i < text.length; i += 1) {
    offsets[i] = at
    const unit = text.charCodeAt(i)
    const isHigh = unit >= 0xd800 && unit < 0xdc00
    if (unit < 0x80) at += 1
    else if (unit < 0x800) at += 2
    // Two units of a pair are four bytes together.
    else if (isHigh || (unit >= 0xdc00 && unit < 0xe000)) at += 2
    else at += 3
  }
  offsets[text.length] = at
  return offsets
}

/** The first letter that holds some of a byte: each byte has one of its own. */
export const letterOf = (byte: number): number => Math.floor(byte / 3) * 4 + (byte % 3)

/** The byte that such a letter stands for. */
export const byteOf = (letter: number): number => Math.floor(letter / 4) * 3 + (letter % 4)
