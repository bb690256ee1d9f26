'use client'

import { Notice } from '../kit'
import { useState } from 'react'
import { PictureSource } from '../color'
import type { Trial } from '../editor'
import { useBasis } from './basis'
import { mostFound, readPicture } from '../color'
import { trialOfPicture } from './trial'

interface PictureWayProps {
  readonly from: Extract<Trial['from'], { way: 'picture' }>
  readonly onTrial: (trial: Trial) => void
}

/** A picture of one's own or of the site, its colours marked where they were found. */
export function PictureWay({ from, onTrial }: PictureWayProps) {
  const basis = useBasis()
  const [busy, setBusy] = useState(false)
  const [wrong, setWrong] = useState<string>()

  const take = async (file: Blob) => {
    setBusy(true)
    setWrong(undefined)
    const read = await readPicture(file)
    setBusy(false)
    if (read.ok) onTrial(trialOfPicture(basis, read.preview, read.found, from.count))
    else setWrong(read.wrong)
  }
  return (
    <div className="grid gap-2">
      {from.url && (
        <div className="relative overflow-hidden rounded-md border border-edge-strong/60 bg-well">
          {/* A picture of the person's own machine, shown from memory. */}
          <img src={from.url} alt="The picture the colours are from" className="block w-full" />
          {from.found.slice(0, from.count).map(({ value, x, y }) => (
            <span
              key={value}
              title={value}
              className="absolute size-4 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_#000]"
              style={{ left: `${x * 100}%`, top: `${y * 100}%`, background: value }}
            />
          ))}
        </div>
      )}
      <PictureSource busy={busy} onTake={(file) => void take(file)} />
      {wrong && <Notice>{wrong}</Notice>}
      {from.found.length === 1 && <p className="text-soft">The picture is of a single colour.</p>}
      {from.found.length > 1 && from.url && (
        <label className="flex items-center gap-2 text-soft">
          Colours
          <input
            type="range"
            min={1}
            max={Math.min(mostFound, from.found.length)}
            value={from.count}
            onChange={(event) =>
              onTrial(trialOfPicture(basis, from.url!, from.found, Number(event.target.value)))
            }
            className="flex-1 accent-(--strong)"
          />
          <span className="code text-ink">{Math.min(from.count, from.found.length)}</span>
        </label>
      )}
    </div>
  )
}
