'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { fontPairs } from '@/core/designs/font-pairs'
import { readPalette } from '@/core/formats'
import type { BeginRequest, Result, ShelfEntry, SiteName } from '@/core/payloads'
import { Button, Dialog, FileButton, Line, Notice, SelectField } from '../kit'
import { readName } from '../names'
import { readPicture } from '../color'
import { tellLeftOut } from '../tell-left-out'
import { problemWords } from '../words'
import { DesignChoice, type Origin } from './design-choice'
import { beginFromArchive, beginSite } from './shelf-client'

interface BeginSiteProps {
  readonly sites: readonly ShelfEntry[]
  /** The site that it is begun from, where one was chosen; else it begins empty. */
  readonly from?: ShelfEntry
  readonly onLeave: () => void
}

/** The short way to a site of one's own: a name, colours, what it begins as; every step but the name can be left as it is. */
export function BeginSite({ sites, from, onLeave }: BeginSiteProps) {
  return (
    <Dialog open wide onOpenChange={onLeave} title="Begin a site">
      <BeginForm sites={sites} from={from} />
    </Dialog>
  )
}

/** Colours that a palette of a site can be made of at once. */
const MOST_COLORS = 6

/** What somebody typed or pasted of colours, or took from a picture. */
function readColors(text: string): {
  readonly colors: readonly string[]
  readonly isRead: boolean
} {
  if (text.trim() === '') return { colors: [], isRead: true }
  const { colors } = readPalette(text)
  return {
    colors: colors.flatMap(({ value }) => (value ? [value] : [])).slice(0, MOST_COLORS),
    isRead: colors.length > 0,
  }
}

interface Wrong {
  readonly at: 'name' | 'colors' | 'all'
  readonly words: string
}

interface OwnColorsProps {
  readonly text: string
  /** What of the text is read so far. */
  readonly colors: readonly string[]
  readonly wrong: string | undefined
  readonly onText: (text: string) => void
  readonly onWrong: (words: string) => void
}

/** The colours that a site begins in: typed, or found in a picture. */
function OwnColors({ text, colors, wrong, onText, onWrong }: OwnColorsProps) {
  const takePicture = async (file: File) => {
    const read = await readPicture(file)
    if (!read.ok) return onWrong(read.wrong)
    const found = read.found.slice(0, MOST_COLORS)
    return onText(found.map(({ value }) => value).join(', '))
  }
  return (
    <>
      <Line
        label="Colours of yours: one, or a few codes in any notation"
        mono
        value={text}
        placeholder="#2f6f62, or nothing"
        onChange={onText}
        wrong={wrong}
      />
      <FileButton accept="image/*" onTake={(file) => void takePicture(file)}>
        <span className="font-semibold">From a logo or a photo</span>
        <span className="text-xs text-soft">its colours are found; nothing is sent</span>
      </FileButton>
      {colors.length > 0 && (
        <ul
          aria-label="Colours that the site begins in"
          className="flex h-8 overflow-hidden rounded-md"
        >
          {colors.map((color) => (
            <li key={color} title={color} className="flex-1" style={{ background: color }} />
          ))}
        </ul>
      )}
    </>
  )
}

/** Opens a site once it is begun, or says why it is not. */
function useOpening(onWrong: (words: string) => void) {
  const router = useRouter()
  const [busy, setBusy] = useState(false)
  const open = async <T extends SiteName>(
    beginning: () => Promise<Result<T>>,
    tell: (begun: T) => void = () => undefined,
  ) => {
    setBusy(true)
    const result = await beginning()
    if (result.ok) {
      tell(result.value)
      return router.push(`/sites/${result.value.id}`)
    }
    setBusy(false)
    return onWrong(problemWords(result.problem))
  }
  return { busy, open }
}

interface FromArchiveProps {
  readonly open: ReturnType<typeof useOpening>['open']
}

/** The way for a site that was kept as a file; what of it is not kept is told. */
function FromArchive({ open }: FromArchiveProps) {
  const take = (file: File) =>
    open(
      () => beginFromArchive(file),
      ({ leftOut }) => tellLeftOut(leftOut),
    )
  return (
    <FileButton accept=".zip,application/zip" onTake={(file) => void take(file)}>
      <span className="font-semibold">From an archive</span>
      <span className="text-xs text-soft">a site that was kept as a file</span>
    </FileButton>
  )
}

const NO_COLOR =
  'This is no colour. Type #2f6f62, teal, rgb(47 111 98) or the like, or leave it empty.'

function BeginForm({ sites, from }: Pick<BeginSiteProps, 'sites' | 'from'>) {
  const [name, setName] = useState('')
  const [text, setText] = useState('')
  const [fonts, setFonts] = useState<string>()
  const [origin, setOrigin] = useState<Origin>(from ? { site: from.id } : { design: 'empty' })
  const [wrong, setWrong] = useState<Wrong>()
  const { busy, open } = useOpening((words) => setWrong({ at: 'all', words }))
  const { colors, isRead } = readColors(text)
  const own = 'design' in origin

  const begin = async () => {
    const read = readName(name)
    if (!read.ok) return setWrong({ at: 'name', words: read.wrong })
    if (own && !isRead) return setWrong({ at: 'colors', words: NO_COLOR })
    const wanted: BeginRequest['from'] = own
      ? {
          ...origin,
          ...(colors.length ? { colors: [...colors] } : {}),
          ...(fonts ? { fonts } : {}),
        }
      : origin
    return open(() => beginSite({ name: read.name, from: wanted }))
  }
  return (
    <form
      className="grid min-h-0 flex-1 grid-cols-[280px_minmax(0,1fr)] gap-6"
      onSubmit={(event) => {
        event.preventDefault()
        void begin()
      }}
    >
      <div className="grid auto-rows-max gap-3">
        {wrong?.at === 'all' && <Notice>{wrong.words}</Notice>}
        <Line
          label="Name of the site"
          first
          value={name}
          placeholder="Wren Cycles"
          onChange={setName}
          wrong={wrong?.at === 'name' ? wrong.words : undefined}
        />
        {own && (
          <OwnColors
            text={text}
            colors={colors}
            wrong={wrong?.at === 'colors' ? wrong.words : undefined}
            onText={(next) => {
              setText(next)
              setWrong(undefined)
            }}
            onWrong={(words) => setWrong({ at: 'colors', words })}
          />
        )}
        {own && <FontChoice value={fonts} onChange={setFonts} />}
        <p className="text-soft">
          {own
            ? 'Every design is drawn in your colours as soon as there are any. Its themes are generated and readable; all of it can be changed.'
            : 'A copy begins as the other site is now, with a history of its own.'}
        </p>
        <FromArchive open={open} />
        <Button type="submit" look="strong" disabled={busy} className="mt-2">
          {busy ? 'Beginning …' : 'Begin it'}
        </Button>
      </div>
      <DesignChoice
        sites={sites}
        origin={origin}
        colors={colors}
        name={name}
        fonts={fonts}
        onChoose={setOrigin}
      />
    </form>
  )
}

interface FontChoiceProps {
  readonly value: string | undefined
  readonly onChange: (fonts: string | undefined) => void
}

/** Typefaces to begin with; every design has its own. */
function FontChoice({ value, onChange }: FontChoiceProps) {
  return (
    <SelectField
      label="Typefaces, for headings and for text"
      value={value ?? ''}
      onChange={(next) => onChange(next || undefined)}
    >
      <option value="">Those of the design</option>
      {fontPairs.map(({ id: pair, mood, heading, body }) => (
        <option key={pair} value={pair}>
          {heading.family === body.family ? heading.family : `${heading.family}, ${body.family}`}:{' '}
          {mood}
        </option>
      ))}
    </SelectField>
  )
}
