'use client'

import { useState } from 'react'
import { Button, Dialog, Line, TextField } from '../kit'
import { readName } from '../names'
import { BeginSite } from './begin-site'
import type { ShelfEntry } from '@/core/payloads'
import { useDeeds, type AskedDeed } from './use-deeds'

interface DeedDialogsProps {
  readonly asked: AskedDeed
  readonly sites: readonly ShelfEntry[]
  readonly onLeave: () => void
}

/** What is asked before something is done to a site. */
export function DeedDialogs({ asked: { deed, entry }, sites, onLeave }: DeedDialogsProps) {
  switch (deed) {
    case 'copy':
      return <BeginSite sites={sites} from={entry} onLeave={onLeave} />
    case 'rename':
      return <Rename entry={entry} onLeave={onLeave} />
    case 'remove':
      return <Remove entry={entry} onLeave={onLeave} />
    case 'put-away':
      return null
  }
}

interface OneProps {
  readonly entry: ShelfEntry
  readonly onLeave: () => void
}

function Rename({ entry, onLeave }: OneProps) {
  const { orTell } = useDeeds()
  const rename = (typed: string) => {
    const read = readName(typed)
    if (!read.ok) return read.wrong
    void orTell(entry, { deed: 'rename', clientId: crypto.randomUUID(), name: read.name })
    onLeave()
    return undefined
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`Rename ${entry.name}`}>
      <TextField label="Name" value={entry.name} onCommit={rename} />
      <p className="mt-2 text-soft">
        Its address stays, and so do the words on its pages; titles of pages take the new name.
      </p>
    </Dialog>
  )
}

function Remove({ entry, onLeave }: OneProps) {
  const { carryOut } = useDeeds()
  const [typed, setTyped] = useState('')
  const [wrong, setWrong] = useState<string>()
  const remove = async () => {
    const problem = await carryOut(entry, { deed: 'remove', name: typed })
    if (problem) setWrong(problem)
    else onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`Remove ${entry.name}`}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void remove()
        }}
      >
        <p>
          The site goes from the shelf, and what is published of it is no longer served. For thirty
          days it can be brought back as it was; after that it is gone for good, with its history.
        </p>
        <Line
          label={`Type its name, “${entry.name}”, to remove it`}
          first
          value={typed}
          onChange={(text) => {
            setTyped(text)
            setWrong(undefined)
          }}
          wrong={wrong}
        />
        <Button type="submit" look="strong" disabled={typed.trim() === ''}>
          Remove {entry.name}
        </Button>
      </form>
    </Dialog>
  )
}
