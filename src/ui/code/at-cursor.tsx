'use client'

import type { ColorDecision } from '@/core/site'
import { ColorChooser } from '../color'
import { Button, Popover, Swatch } from '../kit'
import { counted } from '../words'
import type { ColorInText } from './code-field'

interface AtCursorProps {
  readonly here: ColorInText | undefined
  readonly count: number
  readonly onChoose: (decision: ColorDecision) => void
}

/** The colour at the cursor, to be changed; or how many there are. */
export function AtCursor({ here, count, onChoose }: AtCursorProps) {
  if (!here) {
    return (
      <span className="min-w-0 flex-1 truncate text-xs text-soft">
        {counted(count, 'colour')}: the cursor on one changes it
      </span>
    )
  }
  return (
    <span className="flex-1">
      <Popover
        label="The colour at the cursor"
        width={320}
        trigger={
          <Button>
            <Swatch color={here.paint} className="size-4" /> Colour at the cursor …
          </Button>
        }
      >
        <ColorChooser
          label="The colour at the cursor"
          value={{ value: here.paint }}
          onChoose={onChoose}
        />
      </Popover>
    </span>
  )
}
