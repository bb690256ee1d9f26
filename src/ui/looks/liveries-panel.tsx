'use client'

import { Ellipsis } from 'lucide-react'
import { useEffect, useState, type FormEvent } from 'react'
import { toast } from 'sonner'
import { liveryOf } from '@/core/livery'
import type { LiveryEntry, LiverySource } from '@/core/payloads'
import { stackOf } from '@/core/render'
import { useEditor } from '../editor'
import { Button, Choice, Choices, Dialog, IconButton, Line, Menu, MenuItem, Notice } from '../kit'
import { problemWords, when } from '../words'
import { LiveryTrial } from './livery-trial'
import { keyOf, type Trying } from './use-livery'

const GROUPS: ReadonlyArray<readonly [LiverySource, string]> = [
  ['kept', 'Kept'],
  ['site', 'Of other sites'],
  ['design', 'Ready-made'],
]

function useLiveries() {
  const { client } = useEditor()
  const [entries, setEntries] = useState<readonly LiveryEntry[]>()
  const [failure, setFailure] = useState<string>()
  const [asks, setAsks] = useState(0)
  useEffect(() => {
    let current = true
    void client.liveries().then((result) => {
      if (!current) return
      if (result.ok) setEntries(result.value)
      setFailure(result.ok ? undefined : problemWords(result.problem))
    })
    return () => {
      current = false
    }
  }, [client, asks])
  return { entries, failure, ask: () => setAsks((count) => count + 1) }
}

/** Keeps how the site looks now under a name. */
function Keep({ onKept }: { readonly onKept: () => void }) {
  const { client, store } = useEditor()
  const [name, setName] = useState('')
  const [problem, setProblem] = useState<string>()
  const keep = async (event: FormEvent) => {
    event.preventDefault()
    const { frame, pictures } = store.getState().docs
    const result = await client.keepLivery(name.trim(), liveryOf(frame, pictures))
    if (!result.ok) return setProblem(problemWords(result.problem))
    setName('')
    setProblem(undefined)
    toast(`Kept as ${name.trim()}: every site here can take it.`)
    onKept()
  }
  return (
    <form
      onSubmit={(event) => void keep(event)}
      className="flex items-end gap-2 border-b border-edge pb-3"
    >
      <div className="min-w-0 flex-1">
        <Line
          label="Keep how this site looks, as"
          value={name}
          placeholder="Winter opening"
          wrong={problem}
          onChange={setName}
        />
      </div>
      <Button type="submit" disabled={!name.trim()}>
        Keep
      </Button>
    </form>
  )
}

interface OfEntry {
  readonly entry: LiveryEntry
  readonly onDone: () => void
}

/** Gives a livery that is kept another name; what is wrong with it is told beneath, and what was typed stays. */
function Rename({ entry, onDone, onLeave }: OfEntry & { readonly onLeave: () => void }) {
  const { client } = useEditor()
  const [name, setName] = useState(entry.name)
  const [wrong, setWrong] = useState<string>()
  const rename = async (event: FormEvent) => {
    event.preventDefault()
    const result = await client.changeLivery(entry.id, { deed: 'rename', name: name.trim() })
    if (!result.ok) return setWrong(problemWords(result.problem))
    onLeave()
    onDone()
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`Rename ${entry.name}`}>
      <form onSubmit={(event) => void rename(event)} className="grid gap-3">
        <Line label="Name of the livery" first value={name} wrong={wrong} onChange={setName} />
        <Button look="strong" type="submit" disabled={!name.trim()} className="justify-self-start">
          Rename
        </Button>
      </form>
    </Dialog>
  )
}

function Deeds({ entry, onDone }: OfEntry) {
  const { client } = useEditor()
  const [renaming, setRenaming] = useState(false)
  const remove = async () => {
    const result = await client.changeLivery(entry.id, { deed: 'remove' })
    if (result.ok) toast(`${entry.name} is no longer kept. Sites that wear it stay as they are.`)
    else toast.error(problemWords(result.problem))
    onDone()
  }
  return (
    <>
      <Menu
        trigger={
          <IconButton label={`What to do with ${entry.name}`} className="size-6">
            <Ellipsis size={14} />
          </IconButton>
        }
      >
        <MenuItem onSelect={() => setRenaming(true)}>Rename …</MenuItem>
        <MenuItem onSelect={() => void remove()}>Keep it no longer</MenuItem>
      </Menu>
      {renaming && <Rename entry={entry} onDone={onDone} onLeave={() => setRenaming(false)} />}
    </>
  )
}

function Entry({ entry, onDone }: OfEntry) {
  const { name, colors, faces, told, from } = entry
  return (
    <div className="relative">
      <Choice
        value={keyOf(entry)}
        label={name}
        className="grid w-full gap-1 rounded-md border border-edge-strong/60 bg-raised px-2.5 py-2 text-left hover:bg-hover has-checked:border-strong has-checked:ring-1 has-checked:ring-strong"
      >
        {colors && (
          <span aria-hidden className="flex h-4 overflow-hidden rounded-[3px] border border-edge">
            {colors.map((color, i) => (
              <span key={i} className="flex-1" style={{ background: color }} />
            ))}
          </span>
        )}
        <span
          className="truncate pr-6 text-[15px] leading-5 font-semibold"
          style={faces && { fontFamily: stackOf(faces[0]) }}
        >
          {name}
        </span>
        {told && (
          <span className="truncate text-[11px] text-soft">
            {from === 'kept' ? when(told) : told}
          </span>
        )}
      </Choice>
      {from === 'kept' && (
        <span className="absolute right-1.5 bottom-1.5">
          <Deeds entry={entry} onDone={onDone} />
        </span>
      )}
    </div>
  )
}

/** Liveries to take: those that were kept, those of other sites, those of designs. */
export function LiveriesPanel({ trying }: { readonly trying: Trying }) {
  const { entries, failure, ask } = useLiveries()
  const { chosen, asked, choose } = trying
  const shown = entries ?? []
  return (
    <div className="grid gap-3">
      <p className="text-soft">
        A livery is all of how a site looks: palette, themes, element styles, shapes and type. What
        the site says stays.
      </p>
      <Keep onKept={ask} />
      {failure && <Notice>{failure}</Notice>}
      {trying.failure && <Notice>{trying.failure}</Notice>}
      {chosen && <LiveryTrial trying={trying} onDone={() => void choose(undefined)} />}
      <Choices
        label="Liveries"
        value={asked}
        onChange={(key) => void choose(shown.find((entry) => keyOf(entry) === key))}
        className="grid gap-3"
      >
        {GROUPS.map(([from, title]) => {
          const some = shown.filter((entry) => entry.from === from)
          if (some.length === 0) return null
          return (
            <section key={from} aria-label={title} className="grid gap-1.5">
              <h3 className="font-semibold">{title}</h3>
              {some.map((entry) => (
                <Entry key={keyOf(entry)} entry={entry} onDone={ask} />
              ))}
            </section>
          )
        })}
      </Choices>
      {!entries && !failure && <p className="text-soft">Looking for liveries …</p>}
    </div>
  )
}
