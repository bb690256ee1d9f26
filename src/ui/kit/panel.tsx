'use client'

import { GripHorizontal, X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import { keepText, keptText } from '../browser-storage'
import { IconButton } from './button'
import { arrowSteps } from './arrow-steps'

interface PanelProps {
  readonly trigger: ReactNode
  readonly title: string
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly children: ReactNode
}

interface Place {
  readonly x: number
  readonly y: number
}

/** Pixels: as wide as the column at the right, which it covers in place of the page; under the top bar. */
const [WIDTH, TOP] = [300, 44]
/** How far one press of an arrow key moves it. */
const STEP = 24
const KEPT = 'easel-panel'

function keptPlace(): Place | undefined {
  try {
    const { x, y } = JSON.parse(keptText('this-browser', KEPT) ?? '') as Partial<Place>
    return typeof x === 'number' && typeof y === 'number' ? { x, y } : undefined
  } catch {
    return undefined
  }
}

/** Within the window, whatever its size is by now. */
const within = ({ x, y }: Place): Place => ({
  x: Math.min(Math.max(0, x), Math.max(0, window.innerWidth - WIDTH)),
  y: Math.min(Math.max(0, y), Math.max(0, window.innerHeight - 120)),
})

/** Where the panel was put; nothing while it stands at its own place. */
function usePlace() {
  const [place, setPlace] = useState(keptPlace)
  const move = (next: Place | undefined) => {
    const kept = next && within(next)
    setPlace(kept)
    keepText('this-browser', KEPT, kept ? JSON.stringify(kept) : null)
  }
  return [place, move] as const
}

const boundsOf = (handle: Element) => handle.closest('[role=dialog]')!.getBoundingClientRect()

/** Beside the page at first; it can be moved anywhere, and stays where it was put. It closes when the person turns elsewhere. */
export function Panel({ trigger, title, open, onOpenChange, children }: PanelProps) {
  const [place, move] = usePlace()
  const [held, setHeld] = useState<Place>()
  const take = (event: PointerEvent<HTMLElement>) => {
    const { left, top } = boundsOf(event.currentTarget)
    event.currentTarget.setPointerCapture(event.pointerId)
    setHeld({ x: event.clientX - left, y: event.clientY - top })
  }
  const drag = (event: PointerEvent) => {
    if (held) move({ x: event.clientX - held.x, y: event.clientY - held.y })
  }
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const step = arrowSteps[event.key]
    if (!step) return
    event.preventDefault()
    const { left, top } = boundsOf(event.currentTarget)
    move({ x: left + step[1] * STEP, y: top + step[0] * STEP })
  }
  const at = place && open ? within(place) : undefined
  const style = at
    ? { left: at.x, top: at.y, width: WIDTH, maxHeight: `calc(100vh - ${at.y}px)` }
    : {
        right: 0,
        top: TOP,
        width: WIDTH,
        height: `calc(100vh - ${TOP}px - var(--foot-height, 0px))`,
      }
  return (
    <Radix.Root modal={false} open={open} onOpenChange={onOpenChange}>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          aria-describedby={undefined}
          style={style}
          className={`fixed z-40 flex flex-col bg-panel ${at ? 'rounded-lg border border-edge-strong shadow-xl' : 'border-l border-edge'}`}
        >
          <div className="flex shrink-0 items-center gap-1 border-b border-edge py-1 pr-1.5 pl-4">
            <Radix.Title className="min-w-0 flex-1 truncate text-[15px] font-bold">
              {title}
            </Radix.Title>
            <button
              type="button"
              aria-label="Move this panel: drag it, or press arrow keys"
              title="Drag to move; double click puts it back beside the page"
              onPointerDown={take}
              onPointerMove={drag}
              onPointerUp={() => setHeld(undefined)}
              onDoubleClick={() => move(undefined)}
              onKeyDown={onKeyDown}
              className="flex size-8 cursor-grab touch-none items-center justify-center rounded-md hover:bg-hover active:cursor-grabbing"
            >
              <GripHorizontal size={16} />
            </button>
            <Radix.Close asChild>
              <IconButton label="Close">
                <X size={16} />
              </IconButton>
            </Radix.Close>
          </div>
          <div className="min-h-0 flex-1 overflow-y-auto p-4">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
