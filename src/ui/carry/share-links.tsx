'use client'

import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import type { ShareEntry } from '@/core/payloads'
import { useEditor } from '../editor'
import { Button, copy } from '../kit'
import { problemWords, when } from '../words'

const addressOf = (id: string) => `${window.location.origin}/palette/${id}`

/** Links that show the palette, as it was, to whoever has them. */
export function ShareLinks() {
  const editor = useEditor()
  const { client } = editor
  const [shares, setShares] = useState<readonly ShareEntry[]>()
  useEffect(() => {
    void client.shares().then((result) => {
      if (result.ok) setShares(result.value)
      else toast.error(problemWords(result.problem))
    })
  }, [client])
  const make = async () => {
    const result = await editor.onServer((base) => client.share(base))
    if (result.ok) setShares([result.value, ...(shares ?? [])])
    else toast.error(problemWords(result.problem))
  }
  const revoke = async (id: string) => {
    const result = await client.revokeShare(id)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    setShares(shares?.filter((share) => share.id !== id))
    toast('The link is revoked. Whoever opens it finds nothing.')
  }
  return (
    <div className="grid gap-3">
      <p className="text-soft">
        A link shows the palette just as it is now, to anyone who has it, and nothing else of the
        site. Later changes do not show. It works until you revoke it.
      </p>
      <Button look="strong" className="justify-self-start" onClick={() => void make()}>
        Make a link
      </Button>
      <ul className="grid gap-2">
        {shares?.map(({ id, colors, at }) => (
          <li key={id} className="grid gap-1 rounded-md border border-edge-strong/60 p-2">
            <span className="flex items-center gap-2">
              <span aria-hidden className="flex overflow-hidden rounded-[2px]">
                {colors.slice(0, 12).map(({ value }, i) => (
                  <span key={i} className="h-4 w-3" style={{ background: value }} />
                ))}
              </span>
              <span className="flex-1 text-xs text-soft">{when(at)}</span>
              <Button
                onClick={() =>
                  void copy(addressOf(id), 'Address copied', 'Select the address by hand.')
                }
              >
                Copy
              </Button>
              <Button onClick={() => void revoke(id)}>Revoke</Button>
            </span>
            <input
              readOnly
              aria-label="Address of the link"
              value={addressOf(id)}
              onFocus={(event) => event.target.select()}
              className="code h-7 w-full rounded border border-edge bg-panel px-2"
            />
          </li>
        ))}
      </ul>
      {shares?.length === 0 && <p className="text-soft">No link is open.</p>}
    </div>
  )
}
