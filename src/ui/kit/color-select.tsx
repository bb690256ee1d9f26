'use client'

import { ChevronDown } from 'lucide-react'
import { Select } from 'radix-ui'
import { Swatch } from './swatch'

interface ColorSelectProps {
  readonly label: string
  /** The index of the option that is chosen; −1 for none. */
  readonly value: number
  /** What choosing none is called. */
  readonly none: string
  readonly options: ReadonlyArray<{ readonly color: string; readonly words?: string | undefined }>
  readonly onChange: (index: number) => void
}

/** One of some colours, each seen and not only named. */
export function ColorSelect({ label, value, none, options, onChange }: ColorSelectProps) {
  const chosen = options[value]
  const item =
    'flex h-7 cursor-default items-center gap-2 rounded px-2 outline-none data-highlighted:bg-hover data-[state=checked]:font-bold'
  return (
    <Select.Root value={String(value)} onValueChange={(next) => onChange(Number(next))}>
      <Select.Trigger
        aria-label={label}
        className="code flex h-7 w-28 items-center gap-1.5 rounded border border-edge-strong/60 bg-raised px-1.5"
      >
        {chosen && <Swatch color={chosen.color} size={13} />}
        <span className="min-w-0 flex-1 truncate text-left">
          <Select.Value>{chosen ? (chosen.words ?? chosen.color) : none}</Select.Value>
        </span>
        <ChevronDown size={13} aria-hidden />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          collisionPadding={10}
          className="z-50 max-h-(--radix-select-content-available-height) overflow-y-auto rounded-lg border border-edge bg-raised p-1 shadow-xl"
        >
          <Select.Viewport>
            <Select.Item value="-1" className={item}>
              <Select.ItemText>{none}</Select.ItemText>
            </Select.Item>
            {options.map(({ color, words }, i) => (
              <Select.Item key={i} value={String(i)} className={`code ${item}`}>
                <Swatch color={color} size={15} />
                <Select.ItemText>{words ? `${words} ${color}` : color}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  )
}
