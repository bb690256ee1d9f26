'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { parseColor } from '@/core/color'
import type { ShelfEntry } from '@/core/payloads'
import { Button, Dialog, Line, Notice, Swatch } from '../kit'
import { readName } from '../names'
import { problemWords } from '../words'
import { beginSite } from './shelf-client'

interface BeginSiteProps {
  readonly sites: readonly ShelfEntry[]
  /** The site that it is begun from, where one was chosen; else it begins empty. */
  readonly from?: ShelfEntry
  readonly onLeave: () => void
}

/** The short way to a site of one's own: a name, what it begins with, a colour; every step but the name can be left as it is. */
export function BeginSite({ sites, from, onLeave }: BeginSiteProps) {
  return (
    <Dialog open onOpenChange={onLeave} title="Begin a site">
      <BeginForm sites={sites} from={from} />
    </Dialog>
  )
}

function BeginForm({ sites, from }: Pick<BeginSiteProps, 'sites' | 'from'>) {
  const router = useRouter()
  const [name, setName] = useState('')
  const [origin, setOrigin] = useState(from?.id ?? '')
  const [color, setColor] = useState('')
  const [busy, setBusy] = useState(false)
  const [wrong, setWrong] = useState<{
    readonly at: 'name' | 'color' | 'all'
    readonly words: string
  }>()
  const isColor = color.trim() === '' || parseColor(color.trim()).ok

  const begin = async () => {
    const read = readName(name)
    if (!read.ok) return setWrong({ at: 'name', words: read.wrong })
    if (!origin && !isColor) {
      const words =
        'This is no colour. Type #2f6f62, teal, rgb(47 111 98) or the like, or leave it empty.'
      return setWrong({ at: 'color', words })
    }
    const empty = { design: 'empty' as const, ...(color.trim() ? { color: color.trim() } : {}) }
    setBusy(true)
    const result = await beginSite({ name: read.name, from: origin ? { site: origin } : empty })
    if (result.ok) return router.push(`/sites/${result.value.id}`)
    setBusy(false)
    return setWrong({ at: 'all', words: problemWords(result.problem) })
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void begin()
      }}
    >
      {wrong?.at === 'all' && <Notice>{wrong.words}</Notice>}
      <Line
        label="Name of the site"
        first
        value={name}
        placeholder="Wren Cycles"
        onChange={setName}
        wrong={wrong?.at === 'name' ? wrong.words : undefined}
      />
      <div>
        <label htmlFor="begin-from" className="mb-1 block text-xs text-soft">
          It begins as
        </label>
        <select
          id="begin-from"
          value={origin}
          onChange={(event) => setOrigin(event.target.value)}
          className="h-8 w-full rounded-md border border-edge-strong/60 bg-raised px-2.5"
        >
          <option value="">empty: a header, an opening, a footer</option>
          {sites.map((site) => (
            <option key={site.id} value={site.id}>
              a copy of {site.name}
            </option>
          ))}
        </select>
      </div>
      {origin === '' && (
        <div className="flex items-end gap-2">
          <Line
            label="A colour of yours, in any notation; the palette is made around it"
            mono
            value={color}
            placeholder="#2f6f62, or nothing"
            onChange={setColor}
            wrong={wrong?.at === 'color' ? wrong.words : undefined}
          />
          {color.trim() !== '' && isColor && <Swatch color={color.trim()} />}
        </div>
      )}
      <Button type="submit" look="strong" disabled={busy}>
        {busy ? 'Beginning …' : 'Begin it'}
      </Button>
      <p className="text-soft">
        It opens in Paint, readable from the first minute; logo, photo, list and ready-made palettes
        are waiting there.
      </p>
    </form>
  )
}
