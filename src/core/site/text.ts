import * as z from 'zod'

/** Text that every store takes: no NUL, no half of a surrogate pair. */
const isKept = (text: string) => text.isWellFormed() && !text.includes('\0')

/** Characters that turn the order of what follows around (Unicode bidirectional overrides and isolates). */
const TURNS = /[\u202a-\u202e\u2066-\u2069]/

/** Blanks, marks and letters that paint nothing by themselves. */
const UNSEEN = /[\p{C}\p{Z}\p{M}\u115f\u1160\u2800\u3164\uffa0]/gu

export const plainText = (longest: number) =>
  z.string().max(longest).refine(isKept, 'holds characters that cannot be kept')

/** A name as documents hold it: one line of 1 to 60 characters. */
export const nameText = plainText(60)
  .transform((text) => text.replace(/\s+/g, ' ').trim())
  .pipe(z.string().min(1))

/** A name as a person gives it: one that can be seen, and that does not turn what stands beside it around. */
export const typedName = nameText
  .refine((text) => text.replace(UNSEEN, '') !== '', 'has no letter that can be seen')
  .refine((text) => !TURNS.test(text), 'holds characters that turn text around')

/** What is wrong with a text of a request, and where it stands. */
export interface TextFault {
  readonly where: string
  readonly what: string
}

/** What is wrong with one text on its way into the store. */
function faultOf(text: string): string | undefined {
  if (!isKept(text)) return 'holds characters that cannot be kept'
  return TURNS.test(text) ? 'holds characters that turn text around' : undefined
}

/**
 * The first text in some data, member names included, that must not be stored;
 * undefined where all may. Goes through data of any depth.
 */
export function textFault(data: unknown): TextFault | undefined {
  const open: Array<readonly [unknown, string]> = [[data, '']]
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, where] = next
    if (typeof value === 'string') {
      const what = faultOf(value)
      if (what) return { where, what }
    } else if (typeof value === 'object' && value !== null) {
      for (const [key, inside] of Object.entries(value)) {
        const at = where ? `${where}.${key}` : key
        // No record keeps a member of this name.
        const what = key === '__proto__' ? 'has a name that cannot be kept' : faultOf(key)
        if (what) return { where: at, what }
        open.push([inside, at])
      }
    }
  }
  return undefined
}
