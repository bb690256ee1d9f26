'use client'

import { ImagePlus, Pipette } from 'lucide-react'
import { useState, useSyncExternalStore } from 'react'
import { Dialog, IconButton } from '../kit'
import { PictureDropper } from './picture-dropper'

interface EyeDropperResult {
  readonly sRGBHex: string
}
type EyeDropperWindow = Window & {
  EyeDropper?: new () => { open: () => Promise<EyeDropperResult> }
}

const never = () => () => undefined
/** Asked after the page has come alive: the server cannot know the browser. */
const useScreenDropper = () =>
  useSyncExternalStore(
    never,
    () => (window as EyeDropperWindow).EyeDropper,
    () => undefined,
  )

/** The browser's own dropper where it has one, and one for pictures everywhere. */
export function DropperButtons({ onPick }: { readonly onPick: (hex: string) => void }) {
  const ScreenDropper = useScreenDropper()
  const [open, setOpen] = useState(false)
  const pickFromScreen = async () => {
    try {
      if (ScreenDropper) onPick((await new ScreenDropper().open()).sRGBHex)
    } catch {
      // The person let go of it.
    }
  }
  return (
    <>
      {ScreenDropper && (
        <IconButton label="Pick from the screen" onClick={() => void pickFromScreen()}>
          <Pipette size={15} />
        </IconButton>
      )}
      <IconButton label="Pick from a picture" onClick={() => setOpen(true)}>
        <ImagePlus size={15} />
      </IconButton>
      <Dialog open={open} onOpenChange={setOpen} title="Pick from a picture">
        <PictureDropper
          onPick={(hex) => {
            onPick(hex)
            setOpen(false)
          }}
        />
      </Dialog>
    </>
  )
}
