'use client'

import { useEffect, useRef, useState } from 'react'
import { writeHex } from '@/core/color'
import type { HoldingPicture } from '@/core/payloads'
import { pictureAddress } from '@/core/render'
import { decisionColor } from '@/core/resolve'
import type { ColorDecision } from '@/core/site'
import type { RecolorWish } from '@/workers/recolor.worker'
import { ColorField } from '../color'
import { exchangeFile, pictureTypes } from '../content'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, Dialog, FileButton, Notice, Slider, Swatch, Tick } from '../kit'
import { Divider } from '../stage'
import { heldPicture, keepBeside, putInPlace } from './put-in-place'
import { useRecolored, type Recolored } from './use-recolored'

interface RecolorDialogProps {
  readonly picture: HoldingPicture
  /** The colour that goes, as a hex code. */
  readonly from: string
  /** What it becomes, at first. */
  readonly to: ColorDecision
  readonly onLeave: () => void
}

/** Degrees of OKLCH that count at first. Common practice, no source. */
const USUAL = 24

/** One hue of a picture becomes another, before and after under a divider; then it is put in place, or kept beside. */
export function RecolorDialog({ picture, from, to: given, onLeave }: RecolorDialogProps) {
  const siteId = useEditorState((state) => state.siteId)
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [to, setTo] = useState<ColorDecision>(given)
  const [tolerance, setTolerance] = useState(USUAL)
  const [showsMarked, setShowsMarked] = useState(false)
  const [wrong, setWrong] = useState<string>()
  const target = writeHex({ ...decisionColor(palette, to), alpha: 1 })
  const wish = { from, to: target, tolerance }
  const shown = useRecolored(pictureAddress(siteId)(picture.id, picture.file), wish)
  const share = shown.after?.share ?? 0

  return (
    <Dialog open onOpenChange={onLeave} title={`Recolour ${picture.fileName}`} wide>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_280px] gap-5">
        <Preview shown={shown} showsMarked={showsMarked} />
        <div className="flex min-h-0 flex-col gap-4 overflow-y-auto pr-1">
          <div className="grid gap-1">
            <span className="text-xs text-soft">The hue that goes</span>
            <span className="flex items-center gap-2">
              <Swatch color={from} size={30} /> <span className="code">{from}</span>
            </span>
          </div>
          <div className="grid gap-1">
            <span className="text-xs text-soft">What it becomes</span>
            <ColorField
              label="What it becomes"
              decision={to}
              hint="a picture does not follow it later"
              onChoose={setTo}
            />
          </div>
          <div className="grid gap-1">
            <span className="text-xs text-soft">How far from the hue counts</span>
            <Slider
              bare
              label="How far from the hue counts"
              value={tolerance}
              min={4}
              max={90}
              told={`${tolerance}°`}
              onChange={setTolerance}
            />
          </div>
          <Tick checked={showsMarked} onChange={setShowsMarked}>
            show the marked area alone
          </Tick>
          <p className="text-xs text-soft" role="status">
            {shown.after
              ? `${Math.round(share * 100)} % of the picture is recoloured; the rest stays as it is, to the last bit.`
              : 'Looking at the picture …'}
          </p>
          {(wrong ?? shown.wrong) && <Notice>{wrong ?? shown.wrong}</Notice>}
          <CopyDeeds
            picture={picture}
            wish={wish}
            isIdle={share === 0 || target === from}
            onWrong={setWrong}
            onLeave={onLeave}
          />
        </div>
      </div>
    </Dialog>
  )
}

interface CopyDeedsProps {
  readonly picture: HoldingPicture
  readonly wish: RecolorWish
  /** Whether the copy would be what the picture is. */
  readonly isIdle: boolean
  readonly onWrong: (words: string | undefined) => void
  readonly onLeave: () => void
}

/** What is done with the copy, or with the picture in its place. */
function CopyDeeds({ picture, wish, isIdle, onWrong, onLeave }: CopyDeedsProps) {
  const editor = useEditor()
  const [busy, setBusy] = useState(false)
  const carryOut = async (
    work: () => Promise<{ ok: true; value: string } | { ok: false; words: string }>,
    told: (name: string) => string,
  ) => {
    setBusy(true)
    onWrong(undefined)
    const result = await work()
    setBusy(false)
    if (!result.ok) return onWrong(result.words)
    tellUndoable(editor, told(result.value))
    onLeave()
  }
  const exchange = (file: File) =>
    carryOut(
      async () => {
        const held = await heldPicture(editor, picture.id)
        if (!held.ok) return held
        const words = await exchangeFile(editor, held.value, file)
        return words ? { ok: false, words } : { ok: true, value: file.name }
      },
      (name) => `${picture.fileName} is ${name} now, wherever it stands.`,
    )
  return (
    <div className="mt-auto grid gap-2">
      <Button
        look="strong"
        className="h-9"
        disabled={busy || isIdle}
        onClick={() =>
          void carryOut(
            () => putInPlace(editor, picture, wish),
            (name) =>
              `${picture.fileName} is recoloured wherever it stands. The original is kept as ${name}.`,
          )
        }
      >
        {busy ? 'Recolouring …' : 'Put it in place everywhere'}
      </Button>
      <Button
        disabled={busy || isIdle}
        onClick={() =>
          void carryOut(
            () => keepBeside(editor, picture, wish),
            (name) => `The copy is kept among the pictures as ${name}.`,
          )
        }
      >
        Keep the copy beside it
      </Button>
      <FileButton accept={pictureTypes} onTake={(file) => void exchange(file)}>
        <span className="font-semibold">Exchange it everywhere</span>
        <span className="text-xs text-soft">by another file</span>
      </FileButton>
    </div>
  )
}

interface PreviewProps {
  readonly shown: Recolored
  readonly showsMarked: boolean
}

/** The picture before and after, parted by a divider. */
function Preview({ shown: { before, after }, showsMarked }: PreviewProps) {
  const [divider, setDivider] = useState(0.35)
  if (!before) return <div className="rounded-md bg-well" />
  return (
    <div className="flex min-h-0 items-center justify-center overflow-hidden rounded-md bg-well p-4">
      <div
        className="see-through relative max-h-full"
        style={{ aspectRatio: `${before.width} / ${before.height}`, width: before.width }}
      >
        <Bitmap bitmap={after?.after ?? before} label="After" />
        {showsMarked && after && <Bitmap bitmap={after.marked} label="Marked area" />}
        <div
          className="absolute inset-0"
          style={{ clipPath: `inset(0 ${100 - divider * 100}% 0 0)` }}
        >
          <Bitmap bitmap={before} label="Before" />
        </div>
        <Divider value={divider} onChange={setDivider} />
      </div>
    </div>
  )
}

function Bitmap({ bitmap, label }: { readonly bitmap: ImageBitmap; readonly label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    context?.clearRect(0, 0, bitmap.width, bitmap.height)
    context?.drawImage(bitmap, 0, 0)
  }, [bitmap])
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      width={bitmap.width}
      height={bitmap.height}
      className="absolute inset-0 size-full"
    />
  )
}
