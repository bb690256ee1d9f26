'use client'

import { ChevronRight } from 'lucide-react'
import { Accordion } from 'radix-ui'
import type { ReactNode } from 'react'

interface FoldProps {
  readonly value: string
  readonly title: string
  readonly children: ReactNode
}

/** A part of a Radix accordion that shows its content only when it is opened. */
export function Fold({ value, title, children }: FoldProps) {
  return (
    <Accordion.Item value={value} className="border-t border-edge">
      <Accordion.Header>
        <Accordion.Trigger className="group flex w-full items-center gap-1 py-1.5 text-left text-xs font-semibold hover:text-ink">
          <ChevronRight size={14} className="group-data-[state=open]:rotate-90" aria-hidden />
          {title}
        </Accordion.Trigger>
      </Accordion.Header>
      <Accordion.Content className="pb-2">{children}</Accordion.Content>
    </Accordion.Item>
  )
}
