'use client'

import { Download } from 'lucide-react'
import { Tabs } from 'radix-ui'
import { toast } from 'sonner'
import { useEditor, useEditorState } from '../editor'
import { Dialog } from '../kit'
import { CopyToSite } from './copy-to-site'
import { exportFormats, saveFile, type ExportFormat } from './exports'
import { ShareLinks } from './share-links'

interface CarryDialogProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

const TABS = [
  ['export', 'Export'],
  ['site', 'To another site'],
  ['link', 'Share a link'],
] as const

/** Takes the palette along: as a file, to another site, as a link. */
export function CarryDialog({ open, onOpenChange }: CarryDialogProps) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Take the palette along">
      <Tabs.Root defaultValue="export">
        <Tabs.List aria-label="How" className="mb-3 flex border-b border-edge">
          {TABS.map(([value, label]) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="border-b-2 border-transparent px-3 py-1.5 text-soft hover:text-ink data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              {label}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="export">
          <Exports />
        </Tabs.Content>
        <Tabs.Content value="site">
          <CopyToSite />
        </Tabs.Content>
        <Tabs.Content value="link">
          <ShareLinks />
        </Tabs.Content>
      </Tabs.Root>
    </Dialog>
  )
}

const ROW =
  'flex w-full items-center gap-3 border-b border-edge px-2 py-1.5 text-left last:border-b-0 hover:bg-hover'

function Exports() {
  const { client } = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const siteId = useEditorState((state) => state.siteId)
  const isEmpty = Object.values(frame.palette.slots).every(({ value }) => value === null)
  const take = async ({ write, mediaType, ending }: ExportFormat) => {
    try {
      saveFile(await write(frame), mediaType, `${siteId}-colours.${ending}`)
    } catch {
      toast.error('The browser could not make this file. Try the SVG, or another browser.')
    }
  }
  if (isEmpty) {
    return <p className="text-soft">No slot holds a colour yet, so there is nothing to take.</p>
  }
  return (
    <ul className="rounded-md border border-edge-strong/60">
      {exportFormats.map((format) => (
        <li key={format.id}>
          <button type="button" className={ROW} onClick={() => void take(format)}>
            <FileWords label={format.label} hint={format.hint} />
          </button>
        </li>
      ))}
      <li>
        <a className={ROW} href={client.brandSheetAddress} download>
          <FileWords label="Brand sheet, PDF" hint="Names, hex, rgb, hsl, and what reads on what" />
        </a>
      </li>
    </ul>
  )
}

function FileWords({ label, hint }: { readonly label: string; readonly hint: string }) {
  return (
    <>
      <Download size={15} aria-hidden />
      <span className="min-w-0">
        <span className="block font-semibold">{label}</span>
        <span className="block truncate text-xs text-soft">{hint}</span>
      </span>
    </>
  )
}
