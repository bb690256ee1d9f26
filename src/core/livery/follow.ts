import { isBound, picturesIn, type ColorDecision, type Looks, type LookValue } from '../site'

/** What takes the place of a colour decision. */
export type Follow = (decision: ColorDecision) => ColorDecision

/** Members of a paint by which it names a picture. */
const isPicture = (value: object): value is { readonly picture: string } =>
  'picture' in value && typeof value.picture === 'string'

/** Goes through whatever was decided, and puts something in the place of what `change` takes. */
function walked(value: unknown, change: (each: object) => unknown): unknown {
  if (typeof value !== 'object' || value === null) return value
  const changed = change(value)
  if (changed !== undefined) return changed
  if (Array.isArray(value)) return value.map((each) => walked(each, change))
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [name, walked(each, change)]),
  )
}

/** Looks with other colour decisions in them. */
export const followed = (looks: Looks, follow: Follow): Looks =>
  walked(looks, (each) =>
    'slot' in each && isBound(each as ColorDecision) ? follow(each as ColorDecision) : undefined,
  ) as Looks

/**
 * Looks whose pictures are called as they are elsewhere; the decisions that show one which is not
 * there are left out, and how many is told.
 */
export function withPictures(
  looks: Looks,
  elsewhere: (id: string) => string | undefined,
): { readonly looks: Looks; readonly lost: number } {
  let lost = 0
  const kept = (value: LookValue): LookValue[] => {
    if (picturesIn(value).ids.some((id) => elsewhere(id) === undefined)) {
      lost += 1
      return []
    }
    const renamed = walked(value, (each) =>
      isPicture(each) ? { ...each, picture: elsewhere(each.picture) } : undefined,
    )
    return [renamed as LookValue]
  }
  const entries = Object.entries(looks).map(([key, byState]) => [
    key,
    Object.fromEntries(
      Object.entries(byState ?? {}).flatMap(([state, value]) =>
        kept(value as LookValue).map((each) => [state, each]),
      ),
    ),
  ])
  const some = entries.filter(([, byState]) => Object.keys(byState as object).length > 0)
  return { looks: Object.fromEntries(some) as Looks, lost }
}
