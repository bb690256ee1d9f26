'use client'

import { ChevronDown } from 'lucide-react'
import { useState } from 'react'
import type { ExchangeOf } from '@/core/exchange'
import type { PictureId } from '@/core/site'
import { PictureChoice } from '../content'
import { Line, Popover, SelectField } from '../kit'
import { TypefaceOptions } from '../looks'
import { LinkTarget, useTargetWords } from '../writing'
import { PictureShown } from './picture-shown'

interface TargetProps {
  readonly value: string | undefined
  readonly onChange: (value: string) => void
}

interface ChoiceButtonProps {
  readonly children: React.ReactNode
  readonly label: string
}

const choiceButton = ({ children, label }: ChoiceButtonProps) => (
  <button
    type="button"
    aria-label={label}
    className="flex min-h-8.5 w-full items-center justify-between gap-2 rounded-md border border-edge-strong/60 bg-raised px-2.5 py-1 text-left hover:bg-hover"
  >
    {children}
    <ChevronDown size={14} className="shrink-0" aria-hidden />
  </button>
)

function FontTarget({ value, onChange }: TargetProps) {
  return (
    <SelectField label="Replace by" hideLabel value={value ?? ''} onChange={onChange}>
      <option value="" disabled>
        Choose a typeface
      </option>
      <TypefaceOptions />
    </SelectField>
  )
}

function PictureTarget({ value, onChange }: TargetProps) {
  const [open, setOpen] = useState(false)
  return (
    <Popover
      label="Replace by"
      width={330}
      open={open}
      onOpenChange={setOpen}
      trigger={choiceButton({
        label: 'Replace by: a picture',
        children: value ? <PictureShown id={value} /> : 'Choose a picture',
      })}
    >
      <PictureChoice
        chosen={value ?? ''}
        onChoose={(id) => {
          if (id) onChange(id as PictureId)
          setOpen(false)
        }}
      />
    </Popover>
  )
}

function LinkTo({ value, onChange }: TargetProps) {
  const [open, setOpen] = useState(false)
  const words = useTargetWords(value)
  return (
    <Popover
      label="Replace by"
      width={300}
      open={open}
      onOpenChange={setOpen}
      trigger={choiceButton({
        label: 'Replace by: where links lead',
        children: (
          <span className="truncate">{value === undefined ? 'Choose a target' : words}</span>
        ),
      })}
    >
      <LinkTarget
        href={value}
        onChoose={(href) => {
          onChange(href ?? '#')
          setOpen(false)
        }}
      />
    </Popover>
  )
}

function AddressTarget({ value, onChange }: TargetProps) {
  return <Line label="Replace by" value={value ?? ''} onChange={onChange} mono />
}

const targets: Readonly<
  Record<Exclude<ExchangeOf, 'words'>, (props: TargetProps) => React.ReactNode>
> = { font: FontTarget, picture: PictureTarget, link: LinkTo, address: AddressTarget }

/** What comes in the place of what is looked for. */
export function TargetField({
  of,
  ...props
}: TargetProps & { readonly of: Exclude<ExchangeOf, 'words'> }) {
  const Target = targets[of]
  return <Target {...props} />
}
