'use client'

import { useState } from 'react'
import { Button, Dialog, Line } from '../kit'
import { readName } from '../names'
import { BeginSite } from './begin-site'
import type { ShelfDeed, ShelfEntry } from '@/core/payloads'
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

interface AskedByNameProps extends OneProps {
  readonly title: string
  readonly told: string
  readonly label: string
  readonly begin: string
  readonly doIt: string
  /** What the typed name is good for, or what is wrong with it. */
  readonly deedOf: (typed: string) => ShelfDeed | { readonly wrong: string }
}

/** A deed that asks for a name; what is wrong is told beneath it, and what was typed stays. */
function AskedByName(props: AskedByNameProps) {
  const { entry, onLeave, title, told, label, begin, doIt, deedOf } = props
  const { carryOut } = useDeeds()
  const [typed, setTyped] = useState(begin)
  const [wrong, setWrong] = useState<string>()
  const carry = async () => {
    const deed = deedOf(typed)
    const problem = 'wrong' in deed ? deed.wrong : await carryOut(entry, deed)
    if (problem) setWrong(problem)
    else onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title={title}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void carry()
        }}
      >
        <p>{told}</p>
        <Line
          label={label}
          first
          value={typed}
          onChange={(text) => {
            setTyped(text)
            setWrong(undefined)
          }}
          wrong={wrong}
        />
        <Button type="submit" look="strong" disabled={typed.trim() === ''}>
          {doIt}
        </Button>
      </form>
    </Dialog>
  )
}

function Rename(props: OneProps) {
  const { name } = props.entry
  return (
    <AskedByName
      {...props}
      title={`Rename ${name}`}
      told="Its address stays, and so do the words on its pages; titles of pages take the new name."
      label="Name"
      begin={name}
      doIt="Rename it"
      deedOf={(typed) => {
        const read = readName(typed)
        if (!read.ok) return { wrong: read.wrong }
        return { deed: 'rename', clientId: crypto.randomUUID(), name: read.name }
      }}
    />
  )
}

function Remove(props: OneProps) {
  const { name } = props.entry
  return (
    <AskedByName
      {...props}
      title={`Remove ${name}`}
      told="The site goes from the shelf, and what is published of it is no longer served. For thirty days it can be brought back as it was; after that it is gone for good, with its history."
      label={`Type its name, “${name}”, to remove it`}
      begin=""
      doIt={`Remove ${name}`}
      deedOf={(typed) => ({ deed: 'remove', name: typed })}
    />
  )
}
