'use client'

import { useState } from 'react'
import { difference, opaqueKey, writeHex, type Color } from '@/core/color'
import type { HoldingPicture } from '@/core/payloads'
import { canRecolor } from '@/core/picture'
import { pictureAddress } from '@/core/render'
import { decisionColor } from '@/core/resolve'
import type { ColorDecision } from '@/core/site'
import { useEditorState, usePicturesHolding } from '../editor'
import { Button, Notice } from '../kit'
import { counted } from '../words'
import { RecolorDialog } from './recolor-dialog'

/** A colour that goes, and what it becomes. */
export interface Going {
  readonly color: Color
  readonly to: ColorDecision
}

/** CIEDE2000 below which nobody sees that a picture did not follow. Common practice, no source. */
export const WORTH_IT = 5

interface HoldingListProps {
  readonly going: readonly Going[]
}

const percent = (share: number) =>
  `${share < 0.1 ? (share * 100).toFixed(1) : Math.round(share * 100)} %`

interface HoldingProps {
  readonly picture: HoldingPicture
  readonly onOpen: () => void
}

/** One picture, how much of it shows the colour, and the way to recolour it. */
function Holding({ picture, onOpen }: HoldingProps) {
  const siteId = useEditorState((state) => state.siteId)
  return (
    <li className="grid w-64 shrink-0 grid-cols-[64px_minmax(0,1fr)] items-center gap-x-2.5 rounded-md border border-edge bg-raised p-1.5">
      <img
        src={pictureAddress(siteId)(picture.id, picture.file)}
        alt=""
        className="h-16 w-16 rounded-sm object-cover"
      />
      <div className="grid min-w-0 gap-0.5">
        <span className="truncate font-semibold" title={picture.fileName}>
          {picture.fileName}
        </span>
        <span className="truncate text-xs text-soft">
          {percent(picture.share)} of it, on {counted(picture.pages, 'page')}
        </span>
        <Button
          className="h-7 justify-self-start"
          aria-label={`Recolour ${picture.fileName} …`}
          onClick={onOpen}
        >
          Recolour …
        </Button>
      </div>
    </li>
  )
}

/** Pictures of pixels that show a colour which goes: nothing of them follows by itself. */
export function HoldingList({ going }: HoldingListProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const sought = going.filter(
    ({ color, to }) =>
      canRecolor(color) && difference(color, decisionColor(palette, to)) > WORTH_IT,
  )
  const { value, failure } = usePicturesHolding(sought.map(({ color }) => opaqueKey(color)))
  const [open, setOpen] = useState<HoldingPicture>()
  const pair = open && sought[open.color]
  if (failure) return <Notice>{failure}</Notice>
  if (!value || (value.pictures.length === 0 && value.waiting === 0)) return null
  return (
    <section
      aria-label="Pictures that do not follow"
      className="grid gap-2 border-t border-edge pt-3"
    >
      <h3 className="font-bold">
        {counted(value.pictures.length + value.more, 'picture')} of pixels that{' '}
        {value.pictures.length + value.more === 1 ? 'does' : 'do'} not follow
      </h3>
      {value.waiting > 0 && (
        <p className="text-xs text-soft" role="status">
          Looking at {counted(value.waiting, 'more picture')} …
        </p>
      )}
      <ul className="flex gap-2 overflow-x-auto pb-1">
        {value.pictures.map((picture) => (
          <Holding key={picture.id} picture={picture} onOpen={() => setOpen(picture)} />
        ))}
      </ul>
      {value.more > 0 && (
        <p className="text-xs text-soft">
          {counted(value.more, 'picture')} with less of it are not shown; they are once these are
          done.
        </p>
      )}
      {open && pair && (
        <RecolorDialog
          picture={open}
          from={writeHex({ ...pair.color, alpha: 1 })}
          to={pair.to}
          onLeave={() => setOpen(undefined)}
        />
      )}
    </section>
  )
}
