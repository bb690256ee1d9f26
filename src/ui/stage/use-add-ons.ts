import { useRouter } from 'next/navigation'
import { toast } from 'sonner'
import { useEditor } from '../editor'

/** What the page says of an add-on that is pointed at, and where its colours are decided. */
export function useAddOns() {
  const editor = useEditor()
  const router = useRouter()
  const nameOf = (id: string) =>
    editor.store.getState().docs.frame.addOns.find((addOn) => addOn.id === id)?.name ?? id
  const open = (id: string) => {
    editor.show({ shownAddOn: id })
    router.push(`/sites/${editor.store.getState().siteId}/add-ons`)
  }
  return {
    label: (id: string) => `${nameOf(id)}, an add-on`,
    tell: (id: string) => {
      toast(`${nameOf(id)} is an add-on: it has colours of its own.`, {
        action: { label: 'Its settings', onClick: () => open(id) },
      })
    },
  }
}
