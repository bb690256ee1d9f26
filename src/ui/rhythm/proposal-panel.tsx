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
        Pale backgrounds in turn, every fourth section dark, a vivid one near the end, as far as the
        site’s themes allow: sections of one name get one theme, neighbours get different ones. An
        arrow marks each section that would change.
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
