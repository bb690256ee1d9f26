'use client'

import { Ellipsis } from 'lucide-react'
import Link from 'next/link'
import type { ShelfEntry, SiteInShort } from '@/core/payloads'
import { IconButton, Menu, MenuItem, MenuLine, OnlyHere } from '../kit'
import { counted, day } from '../words'
import { archiveAddress } from './shelf-client'
import type { AskedDeed } from './use-deeds'

/** Width of a card, and of the page that stands in it in small, in CSS pixels. */
const [CARD, PAGE] = [304, 1280]

/** The home page as it looks now, too small to be read: a picture, not a page to walk. */
function HomePicture({ id, revision }: { readonly id: string; readonly revision: number }) {
  return (
    <span className="relative block h-[190px] overflow-hidden bg-well" aria-hidden>
      <iframe
        src={`/home/${id}?at=${revision}`}
        title=""
        sandbox="allow-same-origin"
        tabIndex={-1}
        loading="lazy"
        className="pointer-events-none absolute top-0 left-0 h-[800px] w-[1280px] origin-top-left border-0"
        style={{ transform: `scale(${CARD / PAGE})` }}
      />
    </span>
  )
}

export function Colors({ colors }: Pick<SiteInShort, 'colors'>) {
  return (
    <span className="flex" aria-hidden>
      {colors.map((color, i) => (
        <span
          key={i}
          className={`h-3.5 flex-1 ${color ? '' : 'border border-dashed border-edge-strong'}`}
          style={color ? { background: color } : {}}
        />
      ))}
    </span>
  )
}

interface SiteCardProps {
  readonly entry: ShelfEntry
  readonly onAsk: (asked: AskedDeed) => void
}

/** A site on the shelf: its home page in its colours, its palette, and what can be done with it. */
export function SiteCard({ entry, onAsk }: SiteCardProps) {
  const { id, name, site, changedAt } = entry
  const ask = (deed: AskedDeed['deed']) => () => onAsk({ deed, entry })
  const isReadable = site !== 'unreadable'
  return (
    <article
      aria-label={name}
      className="relative flex h-full flex-col overflow-hidden rounded-lg border border-edge-strong/50 bg-raised focus-within:border-strong hover:border-strong"
    >
      {isReadable ? (
        <>
          <HomePicture id={id} revision={site.revision} />
          <Colors colors={site.colors} />
        </>
      ) : (
        <p className="min-h-[204px] px-4 pt-4">
          <b>× This site cannot be read.</b> It was stored in a form that this version does not
          know. Nothing of it is lost: start the version that it was last changed with, or a newer
          one.
        </p>
      )}
      <span className="flex items-center gap-1 py-2.5 pr-2 pl-4">
        <span className="min-w-0 flex-1">
          {isReadable ? (
            <Link
              href={`/sites/${id}`}
              className="block truncate text-[15px] font-bold after:absolute after:inset-0 after:content-['']"
            >
              {name}
            </Link>
          ) : (
            <span className="block truncate text-[15px] font-bold">{name}</span>
          )}
          <span className="block truncate text-xs text-soft">
            {isReadable &&
              `${counted(site.pageCount, 'page')}, ${counted(site.themeCount, 'theme')}, `}
            changed <OnlyHere>{() => day(changedAt)}</OnlyHere>
          </span>
        </span>
        {isReadable && (
          <span className="relative z-10">
            <Menu
              align="end"
              trigger={
                <IconButton label={`What to do with ${name}`}>
                  <Ellipsis size={16} />
                </IconButton>
              }
            >
              <MenuItem onSelect={ask('rename')}>Rename …</MenuItem>
              <MenuItem onSelect={ask('copy')}>Begin another from it …</MenuItem>
              <MenuItem asChild>
                <a href={archiveAddress(id)} download>
                  Keep it as a file
                </a>
              </MenuItem>
              <MenuItem asChild>
                <a href={`${archiveAddress(id)}?history`} download>
                  Keep it with its history
                </a>
              </MenuItem>
              <MenuItem onSelect={ask('put-away')}>Put away</MenuItem>
              <MenuLine />
              <MenuItem onSelect={ask('remove')}>Remove …</MenuItem>
            </Menu>
          </span>
        )}
      </span>
    </article>
  )
}
