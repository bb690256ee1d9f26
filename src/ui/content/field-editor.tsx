'use client'

import { ChevronDown } from 'lucide-react'
import { useState } from 'react'
import { contentAt } from '@/core/edit'
import { iconNames, icons } from '@/core/elements'
import { Popover, Segments, TextField, Tick } from '../kit'
import { LinkTarget, useTargetWords } from '../writing'
import type { FieldProps } from './field-props'
import { ListEditor } from './list-editor'
import { PictureField } from './picture-field'
import { TableEditor } from './table-editor'

/** One part of an element's content, by how it is set. */
export function FieldEditor({ field, ...props }: FieldProps) {
  switch (field.as) {
    case 'line':
      return <LineField field={field} {...props} />
    case 'link':
      return <LinkField field={field} {...props} />
    case 'choice':
      return <ChoiceField field={field} {...props} />
    case 'tick':
      return <TickField field={field} {...props} />
    case 'icon':
      return <IconField field={field} {...props} />
    case 'picture':
      return <PictureField field={field} {...props} />
    case 'list':
      return (
        <ListEditor field={field} {...props}>
          {(each, at) => <FieldEditor key={each.at} {...props} field={each} at={at} />}
        </ListEditor>
      )
    case 'table':
      return <TableEditor field={field} {...props} />
  }
}

function LineField({ field, at, content, onWrite }: FieldProps<'line'>) {
  const { label, longest, mayGo } = field
  return (
    <TextField
      label={label}
      value={String(contentAt(content, at) ?? '')}
      onCommit={(text) => {
        if (text.length > longest) {
          return `That is ${text.length.toLocaleString('en-GB')} characters; ${longest.toLocaleString('en-GB')} fit.`
        }
        return onWrite(at, text === '' && mayGo ? undefined : text)
      }}
    />
  )
}

function LinkField({ field, at, content, onWrite }: FieldProps<'link'>) {
  const href = contentAt(content, at) as string | undefined
  const words = useTargetWords(href)
  const [open, setOpen] = useState(false)
  return (
    <div>
      <span className="mb-1 block text-xs text-soft">{field.label}</span>
      <Popover
        label={field.label}
        width={300}
        side="left"
        open={open}
        onOpenChange={setOpen}
        trigger={
          <button
            type="button"
            aria-label={`${field.label}: ${words}`}
            className="flex h-8 w-full items-center justify-between gap-2 rounded-md border border-edge-strong/60 bg-raised px-2.5 text-left hover:bg-hover"
          >
            <span className="truncate">{words}</span>
            <ChevronDown size={14} className="shrink-0" aria-hidden />
          </button>
        }
      >
        <LinkTarget
          href={href}
          onChoose={(next) => {
            onWrite(at, next ?? (field.mayGo ? undefined : '#'))
            setOpen(false)
          }}
        />
      </Popover>
    </div>
  )
}

/** An option by a name that is never empty. */
const nameOf = (option: unknown) => `is ${String(option)}`

function ChoiceField({ field, at, content, onWrite }: FieldProps<'choice'>) {
  const value = contentAt(content, at) ?? field.absent
  return (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <span className="text-xs text-soft">{field.label}</span>
      <Segments
        label={field.label}
        value={nameOf(value)}
        options={field.options.map(([option, label]) => [nameOf(option), label] as const)}
        onChange={(chosen) => {
          const option = field.options.find(([each]) => nameOf(each) === chosen)?.[0]
          onWrite(at, option === field.absent ? undefined : option)
        }}
      />
    </div>
  )
}

function TickField({ field, at, content, onWrite }: FieldProps<'tick'>) {
  return (
    <Tick
      checked={contentAt(content, at) === true}
      onChange={(checked) => void onWrite(at, checked ? true : undefined)}
    >
      {field.label}
    </Tick>
  )
}

function IconField({ field, at, content, onWrite }: FieldProps<'icon'>) {
  const name = String(contentAt(content, at) ?? '')
  const [open, setOpen] = useState(false)
  return (
    <Popover
      label={field.label}
      side="left"
      width={236}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          aria-label={`${field.label}: ${name}`}
          className="flex size-8 items-center justify-center self-end rounded-md border border-edge-strong/60 bg-raised hover:bg-hover"
        >
          <Icon name={name} />
        </button>
      }
    >
      <div className="grid grid-cols-6 gap-1">
        {iconNames.map((each) => (
          <button
            key={each}
            type="button"
            aria-label={each}
            title={each}
            aria-pressed={each === name}
            onClick={() => {
              onWrite(at, each)
              setOpen(false)
            }}
            className="flex size-8 items-center justify-center rounded hover:bg-hover aria-pressed:ring-2 aria-pressed:ring-strong"
          >
            <Icon name={each} />
          </button>
        ))}
      </div>
    </Popover>
  )
}

function Icon({ name }: { readonly name: string }) {
  return (
    <svg
      viewBox="0 0 24 24"
      width="18"
      height="18"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={Object.hasOwn(icons, name) ? icons[name] : icons.tick} />
    </svg>
  )
}
