'use client'

import { DropdownMenu } from 'radix-ui'
import type { ComponentProps, ReactElement, ReactNode } from 'react'

const ITEM =
  'block rounded px-2.5 py-1.5 outline-none data-highlighted:bg-hover data-disabled:opacity-40 data-[state=checked]:font-bold'

interface MenuProps extends Pick<
  ComponentProps<typeof DropdownMenu.Content>,
  'side' | 'align' | 'sideOffset'
> {
  /** The button that opens it. */
  readonly trigger: ReactElement
  readonly children: ReactNode
  readonly onOpenChange?: (open: boolean) => void
}

/** A list of things to do, behind a button. */
export function Menu({ trigger, children, onOpenChange, ...place }: MenuProps) {
  return (
    <DropdownMenu.Root onOpenChange={onOpenChange}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          {...place}
          className="z-40 min-w-40 rounded-lg border border-edge bg-raised p-1 font-normal shadow-xl"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

export function MenuItem(props: ComponentProps<typeof DropdownMenu.Item>) {
  return <DropdownMenu.Item {...props} className={ITEM} />
}

/** Words in the place of items, where there are none. */
export function MenuNote({ children }: { readonly children: ReactNode }) {
  return (
    <DropdownMenu.Item disabled className="px-2.5 py-1.5 text-soft">
      {children}
    </DropdownMenu.Item>
  )
}

export function MenuLine() {
  return <DropdownMenu.Separator className="my-1 h-px bg-edge" />
}

interface MenuChoiceProps<Value extends string> {
  readonly value: Value | undefined
  readonly options: ReadonlyArray<readonly [value: Value, label: string]>
  readonly onChoose: (value: Value) => void
}

/** One of several, in a menu. */
export function MenuChoice<Value extends string>(props: MenuChoiceProps<Value>) {
  const { value, options, onChoose } = props
  return (
    <DropdownMenu.RadioGroup value={value} onValueChange={(chosen) => onChoose(chosen as Value)}>
      {options.map(([option, label]) => (
        <DropdownMenu.RadioItem key={option} value={option} className={ITEM}>
          {label}
        </DropdownMenu.RadioItem>
      ))}
    </DropdownMenu.RadioGroup>
  )
}
