'use client'

import { useState, type DragEvent } from 'react'
import { useEditorState, type Trial } from '../editor'
import { mostFound, readPicture } from './picture'
import { trialOfPicture } from './trial'

interface PictureWayProps {
  readonly from: Extract<Trial['from'], { way: 'picture' }>
  readonly onTrial: (trial: Trial) => void
}

/** A picture of one's own or of the site, its colours marked where they were found. */
export function PictureWay({ from, onTrial }: PictureWayProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const assets = useEditorState((state) => state.assets)
  const siteId = useEditorState((state) => state.siteId)
  const [busy, setBusy] = useState(false)
  const [wrong, setWrong] = useState<string>()

  const take = async (file: Blob) => {
    setBusy(true)
    setWrong(undefined)
    const url = URL.createObjectURL(file)
    const read = await readPicture(file, url)
    setBusy(false)
    if (read.ok) onTrial(trialOfPicture(palette, url, read.found, from.count))
    else setWrong(read.wrong)
  }
  const drop = (event: DragEvent) => {
    event.preventDefault()
    const file = event.dataTransfer.files[0]
    if (file) void take(file)
  }
  const takeOwn = async (id: string) => {
    const response = await fetch(`/files/${siteId}/${id}`)
    if (response.ok) await take(await response.blob())
  }

  return (
    <div className="grid gap-2" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
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
      <label className="grid cursor-pointer place-items-center rounded-md border border-dashed border-edge-strong p-3 text-center hover:bg-hover has-focus-visible:outline-2 has-focus-visible:outline-ink">
        {busy ? 'Looking at the picture …' : 'Choose a picture, or drop one here'}
        <input
          type="file"
          accept="image/*"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file) void take(file)
          }}
        />
      </label>
      {wrong && (
        <p role="alert" className="font-semibold">
          × {wrong}
        </p>
      )}
      <div className="flex flex-wrap gap-1.5">
        {Object.values(assets).map(({ id, alt }) => (
          <button
            key={id}
            type="button"
            title={`From this site: ${alt}`}
            aria-label={`Take the site’s picture: ${alt}`}
            onClick={() => void takeOwn(id)}
            className="size-9 overflow-hidden rounded border border-edge-strong/60 bg-raised"
          >
            <img src={`/files/${siteId}/${id}`} alt="" className="size-full object-cover" />
          </button>
        ))}
      </div>
      {from.found.length > 1 && from.url && (
        <label className="flex items-center gap-2 text-soft">
          Colours
          <input
            type="range"
            min={1}
            max={Math.min(mostFound, from.found.length)}
            value={from.count}
            onChange={(event) =>
              onTrial(trialOfPicture(palette, from.url!, from.found, Number(event.target.value)))
            }
            className="flex-1 accent-(--strong)"
          />
          <span className="code text-ink">{Math.min(from.count, from.found.length)}</span>
        </label>
      )}
    </div>
  )
}
