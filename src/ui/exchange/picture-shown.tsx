import { own } from '@/core/site'
import { useEditorState, usePictureAddress } from '../editor'

/** A picture of the site, small, with its name; its place until it is at hand. */
export function PictureShown({ id }: { readonly id: string }) {
  const addressOf = usePictureAddress()
  const picture = useEditorState((state) => own(state.docs.pictures, id))
  return (
    <span className="flex min-w-0 items-center gap-2.5">
      {picture ? (
        <img
          src={addressOf(picture)}
          alt=""
          className="size-10 shrink-0 rounded-sm bg-well object-cover"
        />
      ) : (
        <span className="size-10 shrink-0 rounded-sm border border-dashed border-edge-strong" />
      )}
      <span className="truncate">{picture?.fileName ?? id}</span>
    </span>
  )
}
