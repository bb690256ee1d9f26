'use client'

import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { contentAt, type ContentPath } from '@/core/edit'
import type { Field } from '@/core/elements'
import { IconButton } from '../kit'
import type { FieldProps } from './field-props'

/** What tells an entry from the others: its first words. */
function entryWords(entry: unknown, entryName: string, index: number): string {
  const words = Object.values(entry as Record<string, unknown>).filter(
    (value): value is string => typeof value === 'string' && /\s|^.{3,}$/.test(value),
  )
  return words[0] || `${entryName} ${index + 1}`
}

interface ListEditorProps extends FieldProps<'list'> {
  /** The editor of one part of an entry. */
  readonly children: (field: Field, at: ContentPath) => ReactNode
}

/** Entries that are added, ordered, opened and taken away. */
export function ListEditor({ field, at, content, onWrite, children }: ListEditorProps) {
  const { label, entry, fields, fresh, least, most } = field
  const items = (contentAt(content, at) ?? []) as readonly unknown[]
  const [open, setOpen] = useState<number>()
  const [wrong, setWrong] = useState<string>()
  const write = (next: readonly unknown[], opened: number | undefined) => {
    const problem = onWrite(at, next)
    setWrong(problem)
    if (!problem) setOpen(opened)
  }
  const swap = (index: number, by: number) => {
    const next = [...items]
    ;[next[index], next[index + by]] = [next[index + by]!, next[index]!]
    write(next, open === index ? index + by : open)
  }
  return (
    <div>
      <div className="mb-1 flex items-center justify-between">
        <span className="text-xs text-soft">
          {label}, {items.length}
        </span>
        <IconButton
          label={`Add a ${entry}`}
          told={items.length >= most ? `at most ${most}` : undefined}
          disabled={items.length >= most}
          className="size-6.5"
          onClick={() => write([...items, fresh], items.length)}
        >
          <Plus size={15} />
        </IconButton>
      </div>
      <ol className="grid gap-px overflow-hidden rounded-md border border-edge">
        {items.map((item, i) => {
          const words = entryWords(item, entry, i)
          return (
            <li key={i} className="bg-raised">
              <div className="group flex items-center">
                <button
                  type="button"
                  aria-expanded={open === i}
                  onClick={() => setOpen(open === i ? undefined : i)}
                  className="min-w-0 flex-1 truncate px-2 py-1.5 text-left hover:bg-hover aria-expanded:font-semibold"
                >
                  {words}
                </button>
                {open === i && (
                  <>
                    <IconButton
                      label={`Move ${words} up`}
                      disabled={i === 0}
                      className="size-6.5"
                      onClick={() => swap(i, -1)}
                    >
                      <ArrowUp size={14} />
                    </IconButton>
                    <IconButton
                      label={`Move ${words} down`}
                      disabled={i === items.length - 1}
                      className="size-6.5"
                      onClick={() => swap(i, 1)}
                    >
                      <ArrowDown size={14} />
                    </IconButton>
                    <IconButton
                      label={`Take ${words} away`}
                      told={items.length <= least ? 'the last one stays' : undefined}
                      disabled={items.length <= least}
                      className="size-6.5"
                      onClick={() =>
                        write(
                          items.filter((_, other) => other !== i),
                          undefined,
                        )
                      }
                    >
                      <X size={14} />
                    </IconButton>
                  </>
                )}
              </div>
              {open === i && (
                <div className="grid gap-2 border-t border-edge bg-panel p-2">
                  {fields.map((each) => children(each, [...at, i, each.at]))}
                </div>
              )}
            </li>
          )
        })}
      </ol>
      {wrong && (
        <p role="alert" className="mt-1 text-xs font-semibold">
          × {wrong}
        </p>
      )}
    </div>
  )
}
