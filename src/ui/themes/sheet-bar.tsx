'use client'

import { LayoutTemplate, Moon, Sparkles, Sun } from 'lucide-react'
import { memo, useState } from 'react'
import { roleIds } from '@/core/roles'
import { isAfterDark, useEditor, useEditorState, type SheetRows } from '../editor'
import { Button, SearchField, WhereWide } from '../kit'
import { AddTheme } from './add-theme'
import { EditionMenu } from './edition-menu'
import { RegenerateDialog } from './regenerate-dialog'

interface SheetBarProps {
  readonly shown: SheetRows
  readonly onShown: (shown: SheetRows) => void
  readonly used: number
  readonly failing: number
  readonly search: string
  readonly onSearch: (search: string) => void
  readonly specimen: boolean
  readonly onSpecimen: (open: boolean) => void
}

/** What of the sheet is shown, and what is done to all of it. */
export const SheetBar = memo(function SheetBar(props: SheetBarProps) {
  const { shown, onShown, used, failing, search, onSearch, specimen, onSpecimen } = props
  const editor = useEditor()
  const edition = useEditorState((state) => state.docs.frame.edition)
  const dark = useEditorState(isAfterDark)
  const [regenerating, setRegenerating] = useState(false)
  return (
    <div className="@container">
      <div className="flex flex-wrap items-center gap-2 px-4 py-2.5">
        <select
          aria-label="Roles that are shown"
          value={shown}
          onChange={(event) => onShown(event.target.value as SheetRows)}
          className="h-8 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold"
        >
          <option value="used">Roles in use, {used}</option>
          <option value="all">All roles, {roleIds.length}</option>
          <option value="failing">Only what fails, {failing}</option>
        </select>
        <SearchField
          label="Find a role or a slot"
          placeholder="Role, slot, hover"
          value={search}
          onChange={onSearch}
          className="w-32"
        />
        <span className="flex-1" />
        {edition !== 'light' && (
          <Button
            aria-pressed={dark}
            onClick={() => editor.show({ afterDark: !dark })}
            title="Show and decide the dark edition"
          >
            {dark ? <Moon size={15} /> : <Sun size={15} />} {dark ? 'After dark' : 'Light'}
          </Button>
        )}
        <EditionMenu />
        <Button aria-pressed={specimen} title="Specimen" onClick={() => onSpecimen(!specimen)}>
          <LayoutTemplate size={15} /> <WhereWide>Specimen</WhereWide>
        </Button>
        <Button onClick={() => setRegenerating(true)}>
          <Sparkles size={15} /> Generate …
        </Button>
        <AddTheme />
        <RegenerateDialog open={regenerating} onOpenChange={setRegenerating} />
      </div>
    </div>
  )
})
