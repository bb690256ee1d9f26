import { own } from '@/core/site'
import { Thumbnail } from '../content'
import { useEditorState } from '../editor'

/** A picture of the site, small, with its name; its place until it is at hand. */
export function PictureShown({ id }: { readonly id: string }) {
  const picture = useEditorState((state) => own(state.docs.pictures, id))
  return (
    <span className="flex min-w-0 items-center gap-2.5">
      <Thumbnail picture={picture} />
      <span className="truncate">{picture?.fileName ?? id}</span>
    </span>
  )
}
