'use client'

import { ChevronRight } from 'lucide-react'
import { Accordion } from 'radix-ui'
import { createContext, useContext, useState, type ReactNode } from 'react'

const Open = createContext<readonly string[]>([])

interface FoldsProps {
  /** Whether several can be open beside each other. */
  readonly several?: boolean
  /** The ones that are open at first. */
  readonly begin?: readonly string[]
  /** The ones that are open, where others decide it. */
  readonly open?: readonly string[]
  readonly onOpen?: (open: readonly string[]) => void
  readonly className?: string
  readonly children: ReactNode
}

/** Parts that show their content only when they are opened. */
export function Folds({ several, begin = [], open, onOpen, className, children }: FoldsProps) {
  const [own, setOwn] = useState(begin)
  const shown = open ?? own
  const turn = (next: readonly string[]) => {
    setOwn(next)
    onOpen?.(next)
  }
  const parts = <Open value={shown}>{children}</Open>
  return several ? (
    <Accordion.Root type="multiple" value={[...shown]} onValueChange={turn} className={className}>
      {parts}
    </Accordion.Root>
  ) : (
    <Accordion.Root
      type="single"
      collapsible
      value={shown[0] ?? ''}
      onValueChange={(next) => turn(next ? [next] : [])}
      className={className}
    >
      {parts}
    </Accordion.Root>
  )
}

interface FoldProps {
  readonly value: string
  readonly title: string
  /** Without a line above it, where nothing stands above it. */
  readonly bare?: boolean
  readonly children: ReactNode
}

/** One of them. What is closed is not there: its content would be measured all the same. */
export function Fold({ value, title, bare, children }: FoldProps) {
  const isOpen = useContext(Open).includes(value)
  return (
    <Accordion.Item value={value} className={bare ? '' : 'border-t border-edge'}>
      <Accordion.Header>
        <Accordion.Trigger
          // What does not exist is not pointed to.
          {...(isOpen ? {} : { 'aria-controls': undefined })}
          className="group flex w-full items-center gap-1 py-1.5 text-left text-xs font-semibold hover:text-ink"
        >
          <ChevronRight size={14} className="group-data-[state=open]:rotate-90" aria-hidden />
          {title}
        </Accordion.Trigger>
      </Accordion.Header>
      {isOpen && <Accordion.Content className="pb-2">{children}</Accordion.Content>}
    </Accordion.Item>
  )
}
