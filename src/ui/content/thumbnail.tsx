import type { Picture } from '@/core/site'
import { usePictureAddress } from '../editor'

/** A picture of the site, small; its empty place where there is none, or none at hand yet. */
export function Thumbnail({ picture }: { readonly picture: Picture | undefined }) {
  const addressOf = usePictureAddress()
  if (!picture) {
    return <span className="size-10 shrink-0 rounded-sm border border-dashed border-edge-strong" />
  }
  return (
    <img
      src={addressOf(picture)}
      alt=""
      className="size-10 shrink-0 rounded-sm bg-well object-cover"
    />
  )
}
