'use client'

import {
  CircleHelp,
  Contrast,
  Monitor,
  Moon,
  Redo2,
  Search,
  Smartphone,
  Sun,
  Tablet,
  Undo2,
} from 'lucide-react'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import {
  isAfterDark,
  stepAndTell,
  stepWords,
  useEditor,
  useEditorState,
  useLeftovers,
  type DeviceWidth,
} from '../editor'
import { ContrastMark } from '../check'
import { IconButton } from '../kit'
import { PublishButton } from '../publish'
import { counted } from '../words'
import { switchChrome } from './chrome'
import { PageMenu } from './page-menu'

const VIEWS = [
  ['', 'Paint'],
  ['/themes', 'Themes'],
  ['/looks', 'Looks'],
  ['/rhythm', 'Rhythm'],
  ['/add-ons', 'Add-ons'],
  ['/sweep', 'Sweep'],
  ['/history', 'History'],
] as const

const DEVICES: ReadonlyArray<readonly [DeviceWidth, string, typeof Monitor]> = [
  ['desktop', 'Desktop width', Monitor],
  ['tablet', 'Tablet width', Tablet],
  ['phone', 'Phone width', Smartphone],
]

/** Whether a view is another one, or a part of it. */
const isWithin = (view: string, suffix: string) =>
  view === suffix || (suffix !== '' && view.startsWith(`${suffix}/`))

interface TopBarProps {
  readonly onHelp: () => void
  readonly onFind: () => void
}

export function TopBar({ onHelp, onFind }: TopBarProps) {
  const siteId = useEditorState((state) => state.siteId)
  const name = useEditorState((state) => state.docs.frame.name)
  const path = usePathname()
  const base = `/sites/${siteId}`
  const view = path.slice(base.length)
  return (
    <header className="flex h-11 shrink-0 items-center gap-1 border-b border-edge bg-panel px-3 max-[1100px]:gap-0.5 max-[1100px]:px-2">
      <Link
        href="/"
        className="mr-1 min-w-12 truncate rounded px-1 text-[14px] font-bold"
        title={`${name}: back to all sites`}
      >
        {name}
      </Link>
      <PageMenu />
      <nav aria-label="Views" className="ml-3 flex h-full shrink-0 max-[1100px]:ml-1">
        {VIEWS.map(([suffix, label]) => (
          <Link
            key={suffix}
            href={`${base}${suffix}`}
            aria-current={isWithin(view, suffix) ? 'page' : undefined}
            className="flex h-full items-center border-b-2 border-transparent px-3 whitespace-nowrap text-soft max-[1100px]:px-1.5 hover:text-ink aria-[current=page]:border-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink"
          >
            {label}
            {suffix === '/sweep' && <LeftMark />}
          </Link>
        ))}
      </nav>
      <div className="flex-1" />
      {view === '' && <EditionToggle />}
      {view === '' && <Widths />}
      <StepButton kind="undo" label="Undo (Ctrl Z)" Icon={Undo2} />
      <StepButton kind="redo" label="Redo (Ctrl Shift Z)" Icon={Redo2} />
      <ContrastMark />
      <IconButton label="Where is it set? (F)" onClick={onFind}>
        <Search size={16} />
      </IconButton>
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

/** How many loose uses were left behind as slots changed; quiet, and gone where there are none. */
function LeftMark() {
  const uses = useLeftovers().value?.uses ?? 0
  if (uses === 0) return null
  const words = `${counted(uses, 'loose use')} left behind: what a slot holds, or held before`
  return (
    <span
      role="img"
      aria-label={words}
      title={words}
      className="code ml-1.5 rounded-full border border-edge-strong/60 px-1.5 text-[11px] leading-4 font-normal"
    >
      {uses > 999 ? '999+' : uses}
    </span>
  )
}

interface StepButtonProps {
  readonly kind: 'undo' | 'redo'
  readonly label: string
  readonly Icon: typeof Undo2
}

/** A step back or forward; it says what it is about before it is taken. */
function StepButton({ kind, label, Icon }: StepButtonProps) {
  const editor = useEditor()
  const step = useEditorState((state) => state[kind])
  return (
    <IconButton
      label={label}
      told={step && stepWords(kind, step)}
      disabled={!step}
      onClick={() => void stepAndTell(editor, kind)}
    >
      <Icon size={16} />
    </IconButton>
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
    <div
      role="group"
      aria-label="Width of the page"
      className="mr-2 flex shrink-0 max-[1100px]:mr-0"
    >
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
