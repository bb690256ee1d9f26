import { typedName } from '@/core/site'

export type ReadName =
  { readonly ok: true; readonly name: string } | { readonly ok: false; readonly wrong: string }

/** A name as a person typed it, or what is wrong with it in words. */
export function readName(typed: string): ReadName {
  const parsed = typedName.safeParse(typed)
  if (parsed.success) return { ok: true, name: parsed.data }
  const isLength = typed.trim() === '' || typed.length > 60
  const wrong = isLength
    ? 'A name has 1 to 60 characters.'
    : `This name ${parsed.error.issues[0]?.message ?? 'cannot be kept'}; type it anew.`
  return { ok: false, wrong }
}
