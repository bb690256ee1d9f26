import { readFileSync } from 'node:fs'
import path from 'node:path'

/**
 * What is tried against sanitisers: the inputs of the tests of bluemonday, of Debian's package
 * golang-github-microcosm-cc-bluemonday-dev, which the test command unpacks.
 */
export function xssCorpus(): string[] {
  const folder = process.env.EASEL_XSS
  if (!folder) throw new Error('EASEL_XSS names no folder: run this by ./easel test')
  const source = readFileSync(path.join(folder, 'sanitize_test.go'), 'utf8')
  const literals = source.matchAll(/\bin:\s*(?:`([^`]*)`|("(?:[^"\\\n]|\\.)*"))/g)
  const found = [...literals].map(([, raw, quoted]) => raw ?? unquoted(quoted!))
  return [...new Set(found)].filter((each) => each.trim() && !hasOddCharacters(each))
}

/** A string of Go; its escapes that JSON does not have are left out with their backslash. */
function unquoted(quoted: string): string {
  try {
    return JSON.parse(quoted) as string
  } catch {
    return quoted.slice(1, -1)
  }
}

/** Texts with control characters are refused at every door; `doors.test.ts` tries those. */
const hasOddCharacters = (text: string) =>
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]/.test(text)
