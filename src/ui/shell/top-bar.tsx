'use client'

import {
  CircleHelp,
  Contrast,
  Monitor,
  Moon,
  Redo2,
  Smartphone,
  Sun,
  Tablet,
  Undo2,
} from 'lucide-react'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { isAfterDark, stepAndTell, useEditor, useEditorState, type DeviceWidth } from '../editor'
import { IconButton } from '../kit'
import { PublishButton } from '../publish'
import { switchChrome } from './chrome'
import { Others } from './others'
import { PageMenu } from './page-menu'

const VIEWS = [
  ['', 'Paint'],
  ['/themes', 'Themes'],
  ['/rhythm', 'Rhythm'],
  ['/sweep', 'Sweep'],
  ['/history', 'History'],
] as const

const DEVICES: ReadonlyArray<readonly [DeviceWidth, string, typeof Monitor]> = [
  ['desktop', 'Desktop width', Monitor],
  ['tablet', 'Tablet width', Tablet],
  ['phone', 'Phone width', Smartphone],
]

export function TopBar({ onHelp }: { readonly onHelp: () => void }) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const name = useEditorState((state) => state.docs.frame.name)
  const canUndo = useEditorState((state) => state.canUndo)
  const canRedo = useEditorState((state) => state.canRedo)
  const path = usePathname()
  const base = `/sites/${siteId}`
  const view = path.slice(base.length)
  return (
    <header className="flex h-11 shrink-0 items-center gap-1 border-b border-edge bg-panel px-3">
      <Link
        href="/"
        className="mr-1 rounded px-1 text-[14px] font-bold whitespace-nowrap"
        title="All sites"
      >
        {name}
      </Link>
      <PageMenu />
      <nav aria-label="Views" className="ml-3 flex h-full">
        {VIEWS.map(([suffix, label]) => (
          <Link
            key={suffix}
            href={`${base}${suffix}`}
            aria-current={view === suffix ? 'page' : undefined}
            className="flex h-full items-center border-b-2 border-transparent px-3 text-soft hover:text-ink aria-[current=page]:border-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink"
          >
            {label}
          </Link>
        ))}
      </nav>
      <div className="flex-1" />
      {view === '' && <EditionToggle />}
      {view === '' && <Widths />}
      <IconButton
        label="Undo (Ctrl Z)"
        disabled={!canUndo}
        onClick={() => void stepAndTell(editor, 'undo')}
      >
        <Undo2 size={16} />
      </IconButton>
      <IconButton
        label="Redo (Ctrl Shift Z)"
        disabled={!canRedo}
        onClick={() => void stepAndTell(editor, 'redo')}
      >
        <Redo2 size={16} />
      </IconButton>
      <Others />
      <SaveMark />
      <IconButton label="Light or dark chrome" onClick={switchChrome}>
        <Contrast size={16} />
      </IconButton>
      <IconButton label="Keys and help (?)" onClick={onHelp}>
        <CircleHelp size={16} />
      </IconButton>
      <PublishButton />
    </header>
  )
}

/** Shows the page in the light edition or after dark, where the site has both. */
function EditionToggle() {
  const editor = useEditor()
  const edition = useEditorState((state) => state.docs.frame.edition)
  const dark = useEditorState(isAfterDark)
  if (edition === 'light') return null
  return (
    <IconButton
      label={dark ? 'Show the light edition' : 'Show the dark edition'}
      aria-pressed={dark}
      className="mr-2"
      onClick={() => editor.show({ afterDark: !dark })}
    >
      {dark ? <Moon size={16} /> : <Sun size={16} />}
    </IconButton>
  )
}

function Widths() {
  const editor = useEditor()
  const width = useEditorState((state) => state.width)
  return (
    <div role="group" aria-label="Width of the page" className="mr-2 flex">
      {DEVICES.map(([device, label, Icon]) => (
        <IconButton
          key={device}
          label={label}
          aria-pressed={width === device}
          onClick={() => editor.show({ width: device })}
        >
          <Icon size={16} />
        </IconButton>
      ))}
    </div>
  )
}

const SAVE_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  waiting: 'Not stored yet, trying again …',
} as const

function SaveMark() {
  const saveState = useEditorState((state) => state.saveState)
  return (
    <span
      role="status"
      data-save={saveState}
      className={`mx-2 text-xs whitespace-nowrap ${saveState === 'waiting' ? 'rounded border border-dashed border-ink px-1.5 py-0.5 font-semibold' : 'text-soft'}`}
    >
      {SAVE_WORDS[saveState]}
    </span>
  )
}
