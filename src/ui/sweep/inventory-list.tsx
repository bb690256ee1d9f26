'use client'

import { ChevronRight } from 'lucide-react'
import { useMemo, useState } from 'react'
import { colorKey, writeHex } from '@/core/color'
import type { Inventory } from '@/core/payloads'
import { groupEntries, orderGroups, type InventoryEntry, type InventoryGroup } from '@/core/sweep'
import { useEditorState } from '../editor'
import { Button, Name, Swatch } from '../kit'
import { HoldingCount, WORTH_IT } from '../recolor'
import { counted } from '../words'
import { entryName, matchingEntries } from './draft'
import { PageAreas, type Areas } from './page-areas'
import { InventoryFilters, isShown, leftIn, type InventoryView } from './inventory-filters'

interface InventoryListProps {
  readonly inventory: Inventory
  readonly view: InventoryView
  readonly onView: (view: InventoryView) => void
  readonly chosen: ReadonlySet<string>
  /** Begins a pair with a colour, and how near to it others count; takes it away where there is one. */
  readonly onChoose: (entry: InventoryEntry, within: number) => void
  /** Begins a pair for each of some colours. */
  readonly onChooseAll: (entries: readonly InventoryEntry[]) => void
}

/** All colours in use with their counts; bound ones carry a full bar, loose ones a broken one and a mark. */
export function InventoryList(props: InventoryListProps) {
  const { inventory, view, onView, chosen, onChoose, onChooseAll } = props
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { entries, uses, bound } = inventory
  const [measured, setMeasured] = useState<Areas>()
  const areas = view.order === 'area' ? measured : undefined
  const shown = useMemo(() => {
    const some = matchingEntries(palette, entries, view.search).filter((entry) =>
      isShown(view, entry),
    )
    const groups = groupEntries(some, view.within)
    // What is searched for by a colour comes from the nearest to the furthest.
    const areaOf = ({ color }: InventoryEntry) => areas?.get(colorKey(color)) ?? 0
    return view.search ? groups : orderGroups(groups, view.order, areaOf)
  }, [palette, entries, view, areas])
  const most = Math.max(1, ...shown.map(({ count }) => count))
  const left = useMemo(() => entries.filter((entry) => leftIn(entry) > 0), [entries])
  const waits = left.reduce((all, entry) => all + leftIn(entry), 0)
  return (
    <div className="flex h-full flex-col">
      {view.order === 'area' && <PageAreas onAreas={setMeasured} />}
      <div className="grid gap-2 p-3 pb-2">
        <InventoryFilters view={view} onView={onView} />
        <p
          className="text-xs font-semibold text-soft"
          title="A use is one place where a colour is decided: a role in a theme, an element, a line of CSS. One use may colour many things, or none yet; the tray counts the things."
        >
          {counted(entries.length, 'colour')}, {counted(uses, 'use')},{' '}
          {uses ? Math.floor((bound / uses) * 100) : 100} % bound to slots
        </p>
        {view.tie === 'left' && left.length > 0 && (
          <div className="grid justify-items-start gap-1.5 text-xs">
            <p>
              {counted(waits, 'loose use')} {waits === 1 ? 'is' : 'are'} what a slot holds, or
              nearly, or held once.
            </p>
            <Button onClick={() => onChooseAll(left)}>Bind all to their slots …</Button>
            <HoldingCount
              colors={left.flatMap(({ color, near }) =>
                near && near.difference > WORTH_IT ? [color] : [],
              )}
            />
          </div>
        )}
      </div>
      <ul aria-label="Colours in use" className="min-h-0 flex-1 overflow-y-auto px-1.5 pb-3">
        {shown.map((group) => (
          <GroupRows
            key={group.head.key}
            group={group}
            most={most}
            chosen={chosen}
            within={view.within}
            areas={areas}
            onChoose={onChoose}
          />
        ))}
        {shown.length === 0 && (
          <li className="p-6 text-center text-soft">
            {view.tie === 'left'
              ? 'No loose colour is what a slot holds or held.'
              : 'No colour in use is like that.'}
          </li>
        )}
      </ul>
    </div>
  )
}

interface GroupRowsProps extends Pick<InventoryListProps, 'chosen' | 'onChoose'> {
  readonly group: InventoryGroup
  readonly most: number
  readonly within: number
  /** How much of the open page colours cover, where that is asked for. */
  readonly areas: Areas | undefined
}

/** One group: its most used colour for all, which opens into those that are the same to the eye. */
function GroupRows({ group, most, within, areas, chosen, onChoose }: GroupRowsProps) {
  const [isOpen, setOpen] = useState(false)
  const { head, members, count } = group
  const many = members.length > 1
  const choose = (entry: InventoryEntry, near: number) => () => onChoose(entry, near)
  return (
    <li>
      <div className="relative">
        <EntryButton
          entry={head}
          count={count}
          share={count / most}
          area={areas && (areas.get(colorKey(head.color)) ?? 0)}
          isChosen={chosen.has(head.key)}
          isGroup={many}
          onChoose={choose(head, many ? within : 0)}
        />
        {many && (
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            className="absolute top-5.5 right-16 flex min-h-6 items-center rounded px-1 text-xs font-semibold hover:bg-strong hover:text-on-strong"
          >
            <ChevronRight size={13} className={isOpen ? 'rotate-90' : ''} aria-hidden />
            {counted(members.length, 'colour')}
          </button>
        )}
      </div>
      {isOpen && (
        <ul
          aria-label={`The same to the eye as ${writeHex(head.color)}`}
          className="ml-6 border-l border-edge-strong/50 pl-1"
        >
          {members.map((entry) => (
            <li key={entry.key}>
              <EntryButton
                entry={entry}
                count={entry.count}
                share={entry.count / most}
                area={areas && (areas.get(colorKey(entry.color)) ?? 0)}
                isChosen={chosen.has(entry.key)}
                onChoose={choose(entry, 0)}
              />
            </li>
          ))}
        </ul>
      )}
    </li>
  )
}

interface EntryButtonProps {
  readonly entry: InventoryEntry
  readonly count: number
  /** 0…1, of the most used. */
  readonly share: number
  /** How much of the open page it covers, 0…1, where that is asked for. */
  readonly area: number | undefined
  readonly isChosen: boolean
  readonly isGroup?: boolean
  readonly onChoose: () => void
}

function EntryButton({ entry, count, share, area, isChosen, isGroup, onChoose }: EntryButtonProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  return (
    <button
      type="button"
      data-entry={entry.key}
      aria-pressed={isChosen}
      onClick={onChoose}
      className="grid w-full grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-2.5 rounded-md px-2 py-1.5 text-left hover:bg-hover aria-pressed:outline-2 aria-pressed:-outline-offset-1 aria-pressed:outline-ink"
    >
      <Swatch color={writeHex(entry.color)} size={28} className="w-[34px]!" />
      <span className="min-w-0">
        <span className="flex items-baseline gap-1.5">
          <Name>{entryName(palette, entry)}</Name>
          {entry.slot ? (
            <span className="text-xs text-soft">bound</span>
          ) : (
            <span className="rounded-sm border border-ink px-1 text-[10.5px] font-semibold">
              loose
            </span>
          )}
        </span>
        {/* How many colours are one to the eye stands at the end of this line. */}
        <span className={`code block truncate text-soft ${isGroup ? 'pr-18' : ''}`}>
          {entry.slot
            ? writeHex(entry.color)
            : `${entry.notations[0]}${entry.notations.length > 1 ? ` +${entry.notations.length - 1}` : ''}`}
        </span>
        <span
          aria-hidden
          className={`mt-0.5 block h-[3px] min-w-[3px] ${entry.slot ? 'bg-ink' : 'bg-[repeating-linear-gradient(90deg,var(--ink)_0_3px,transparent_3px_6px)]'}`}
          style={{ width: `${share * 100}%` }}
        />
      </span>
      <span className="code text-right">
        {count.toLocaleString('en-GB')}
        {area !== undefined && area > 0 && (
          <span className="block text-soft" title="Of the page that is open, as its ground">
            {area < 0.01 ? '<1' : Math.round(area * 100)} %
          </span>
        )}
      </span>
    </button>
  )
}
