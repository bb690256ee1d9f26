'use client'

import { ToggleGroup } from 'radix-ui'
import { themesInOrder, type ThemeId } from '@/core/site'
import { useEditorState } from '../editor'
import { themeLook } from '../look'

interface ThemeChoicesProps {
  readonly label: string
  /** The theme that is there now, if it is one. */
  readonly value?: ThemeId
  readonly onChoose: (theme: ThemeId) => void
  /** Called while a theme is pointed at, and with nothing when it no longer is. */
  readonly onPoint?: (theme: ThemeId | undefined) => void
  /** For a header: whether it blends, and how to have it blend into what lies under it. */
  readonly blending?: { readonly blends: boolean; readonly onBlend: () => void }
}

/** Stands for blending among the themes. */
const BLEND = 'blend '

/** The themes, each drawn as it looks: one stop for the tab key, arrow keys point, space or enter chooses. */
export function ThemeChoices(props: ThemeChoicesProps) {
  const { label, value, onChoose, onPoint, blending } = props
  const siteId = useEditorState((state) => state.siteId)
  const frame = useEditorState((state) => state.docs.frame)
  return (
    <ToggleGroup.Root
      type="single"
      role="radiogroup"
      aria-label={label}
      value={blending?.blends ? BLEND : (value ?? '')}
      onValueChange={(theme) => {
        if (theme === BLEND) blending?.onBlend()
        else if (theme) onChoose(theme as ThemeId)
      }}
      className="grid grid-cols-2 gap-1.5"
      onPointerLeave={() => onPoint?.(undefined)}
    >
      {themesInOrder(frame.themes).map(({ id }) => {
        const look = themeLook(siteId, frame, id)
        return (
          <ToggleGroup.Item
            key={id}
            value={id}
            onPointerEnter={() => onPoint?.(id)}
            onFocus={() => onPoint?.(id)}
            onBlur={() => onPoint?.(undefined)}
            className="flex h-9 min-w-0 items-center justify-between gap-1 rounded-md border border-edge-strong/60 px-2.5 font-semibold aria-checked:outline-2 aria-checked:outline-offset-1 aria-checked:outline-ink"
            style={{ background: look.ground, color: look.text }}
          >
            <span className="truncate">{look.name}</span>
            <span
              aria-hidden
              className="h-2.5 w-5 shrink-0 rounded-[2px]"
              style={{ background: look.chip }}
            />
          </ToggleGroup.Item>
        )
      })}
      {blending && (
        <ToggleGroup.Item
          value={BLEND}
          className="col-span-2 flex h-9 items-center rounded-md border border-dashed border-edge-strong px-2.5 font-semibold aria-checked:outline-2 aria-checked:outline-offset-1 aria-checked:outline-ink"
        >
          Blend into the section under it
        </ToggleGroup.Item>
      )}
    </ToggleGroup.Root>
  )
}
