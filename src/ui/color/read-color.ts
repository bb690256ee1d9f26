import { parseColor } from '@/core/color'
import { colorProblemWords } from '../words'

/** What a person typed, as CSS text, or what is wrong with it in words. */
export type ReadColor = { readonly value: string } | { readonly wrong: string }

export function readColorText(typed: string): ReadColor {
  const parsed = parseColor(typed)
  if (!parsed.ok) return { wrong: colorProblemWords[parsed.problem] }
  const text = typed.trim()
  return { value: parsed.notation === 'hex' && !text.startsWith('#') ? `#${text}` : text }
}
