'use client'

import { useEditor, useEditorState } from '../editor'
import { AddOnList } from './add-on-list'
import { AddOnPreview } from './add-on-preview'
import { AddOnSettings } from './add-on-settings'

/** Services from elsewhere that the site shows: each with settings of its own, some of them colours that follow the palette or do not. */
export function AddOnsView() {
  const editor = useEditor()
  const addOns = useEditorState((state) => state.docs.frame.addOns)
  const shown = useEditorState((state) => state.shownAddOn)
  const addOn = addOns.find(({ id }) => id === shown) ?? addOns[0]
  return (
    <div className="grid h-full grid-cols-[250px_minmax(0,1fr)_300px]">
      <aside
        aria-label="Add-ons of this site"
        className="min-h-0 overflow-y-auto border-r border-edge bg-panel"
      >
        <AddOnList
          addOns={addOns}
          chosen={addOn?.id}
          onChoose={(id) => editor.show({ shownAddOn: id })}
        />
      </aside>
      <AddOnPreview key={addOn?.id ?? 'none'} addOn={addOn} />
      <aside
        aria-label="Settings"
        className="min-h-0 overflow-y-auto border-l border-edge bg-panel p-4"
      >
        {addOn ? (
          <AddOnSettings key={addOn.id} addOn={addOn} />
        ) : (
          <p className="text-soft">Put an add-on on the site to see its settings here.</p>
        )}
      </aside>
    </div>
  )
}
