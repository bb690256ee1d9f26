'use client'

import { ToggleGroup } from 'radix-ui'

interface SegmentsProps<Value extends string> {
  readonly label: string
  readonly value: Value
  readonly options: ReadonlyArray<readonly [value: Value, label: string]>
  readonly onChange: (value: Value) => void
}

/** One of a few, side by side. */
export function Segments<Value extends string>(props: SegmentsProps<Value>) {
  const { label, value, options, onChange } = props
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as Value)}
      className="flex overflow-hidden rounded-md border border-edge-strong/60"
    >
      {options.map(([option, words]) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="h-7 flex-1 px-2 text-xs font-semibold whitespace-nowrap hover:bg-hover data-[state=on]:bg-strong data-[state=on]:text-on-strong"
        >
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
