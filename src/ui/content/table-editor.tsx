'use client'

import { ArrowDown, ArrowUp, X } from 'lucide-react'
import { useState } from 'react'
import { contentAt } from '@/core/edit'
import { Button, IconButton } from '../kit'
import type { FieldProps } from './field-props'

type Row = readonly string[]

/** Rows and columns of a table; its cells are written on the page. */
export function TableEditor({ field, content, onWrite }: FieldProps<'table'>) {
  const head = (contentAt(content, [field.head]) ?? []) as Row
  const rows = (contentAt(content, [field.at]) ?? []) as readonly Row[]
  const [wrong, setWrong] = useState<string>()
  const writeRows = (next: readonly Row[]) => setWrong(onWrite([field.at], next))
  const writeAll = (nextHead: Row, nextRows: readonly Row[]) =>
    setWrong(onWrite([], { ...(content as object), [field.head]: nextHead, [field.at]: nextRows }))
  const swap = (index: number, by: number) => {
    const next = [...rows]
    ;[next[index], next[index + by]] = [next[index + by]!, next[index]!]
    writeRows(next)
  }
  return (
    <div className="grid gap-2">
      <span className="text-xs text-soft">
        {rows.length} rows, {head.length} columns; write in them on the page
      </span>
      <ol className="grid gap-px overflow-hidden rounded-md border border-edge">
        {rows.map((row, i) => (
          <li key={i} className="flex items-center bg-raised">
            <span className="min-w-0 flex-1 truncate px-2 py-1">{row.join(' · ')}</span>
            <IconButton
              label={`Move row ${i + 1} up`}
              disabled={i === 0}
              className="size-6.5"
              onClick={() => swap(i, -1)}
            >
              <ArrowUp size={14} />
            </IconButton>
            <IconButton
              label={`Move row ${i + 1} down`}
              disabled={i === rows.length - 1}
              className="size-6.5"
              onClick={() => swap(i, 1)}
            >
              <ArrowDown size={14} />
            </IconButton>
            <IconButton
              label={`Take row ${i + 1} away`}
              className="size-6.5"
              onClick={() => writeRows(rows.filter((_, other) => other !== i))}
            >
              <X size={14} />
            </IconButton>
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap gap-1.5">
        <Button
          disabled={rows.length >= field.mostRows}
          onClick={() => writeRows([...rows, head.map((_, i) => (i ? '0' : 'New'))])}
        >
          Add a row
        </Button>
        <Button
          disabled={head.length >= field.mostColumns}
          onClick={() =>
            writeAll(
              [...head, 'New'],
              rows.map((row) => [...row, '–']),
            )
          }
        >
          Add a column
        </Button>
        <Button
          disabled={head.length <= 1}
          onClick={() =>
            writeAll(
              head.slice(0, -1),
              rows.map((row) => row.slice(0, -1)),
            )
          }
        >
          Take the last column away
        </Button>
      </div>
      {wrong && (
        <p role="alert" className="text-xs font-semibold">
          × {wrong}
        </p>
      )}
    </div>
  )
}
