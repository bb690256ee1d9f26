import { useState } from 'react'
import { Button } from '../kit'
import { counted } from '../words'

interface ProposalPanelProps {
  readonly sections: number
  readonly onGive: () => Promise<void>
  readonly onLeave: () => void
}

/** A rhythm that is shown on the pages and waits to be given. */
export function ProposalPanel({ sections, onGive, onLeave }: ProposalPanelProps) {
  const [busy, setBusy] = useState(false)
  const give = async () => {
    setBusy(true)
    await onGive()
    setBusy(false)
  }
  return (
    <>
      <h2 className="text-[15px] font-bold">A rhythm for {counted(sections, 'section')}</h2>
      <p className="text-soft">
        As far as the site has such themes: pale grounds in turn, every fourth section dark, a vivid
        one once, near the end; sections of one name alike on all pages. Arrows mark what is shown
        on the pages and not yet given.
      </p>
      <div className="flex gap-2">
        <Button look="strong" className="flex-1" disabled={busy} onClick={() => void give()}>
          {busy ? 'Giving it …' : 'Give it'}
        </Button>
        <Button disabled={busy} onClick={onLeave}>
          Let go
        </Button>
      </div>
    </>
  )
}
