import type { ReactElement } from 'react'
import { writeHex } from '@/core/color'
import type { Cast } from '@/core/palette'

/** The parts of a cast as hex, to draw with. */
export type Paints = Readonly<Record<keyof Cast, string>>

export function paintsOf(cast: Cast): Paints {
  return Object.fromEntries(
    Object.entries(cast).map(([part, color]) => [part, writeHex(color)]),
  ) as unknown as Paints
}

interface Thing {
  readonly id: string
  readonly label: string
  readonly draw: (paints: Paints) => ReactElement
}

/** A hanging sign on its bracket. */
function ShopSign({ paper, pale, brand, accent, ink, onBrand }: Paints) {
  return (
    <>
      <rect width="240" height="180" fill={pale} />
      <path d="M0 120h240M0 60h240M60 0v60M180 60v60M120 120v60" stroke={paper} strokeWidth="3" />
      <path d="M22 26h150M46 26v18M148 26v18" stroke={ink} strokeWidth="5" />
      <path d="M22 18v30" stroke={ink} strokeWidth="7" />
      <rect x="30" y="44" width="134" height="84" rx="8" fill={brand} />
      <rect
        x="36"
        y="50"
        width="122"
        height="72"
        rx="5"
        fill="none"
        stroke={accent}
        strokeWidth="2"
      />
      <text x="97" y="86" textAnchor="middle" fontSize="22" fontWeight="700" fill={onBrand}>
        Kelp &amp; Co
      </text>
      <text x="97" y="106" textAnchor="middle" fontSize="9.5" letterSpacing="2" fill={onBrand}>
        SHIP’S CHANDLER
      </text>
      <path d="M190 180v-70l24-16 24 16v70z" fill={ink} />
      <rect x="200" y="122" width="28" height="30" fill={accent} />
    </>
  )
}

/** A label on a brown-paper parcel. */
function ParcelLabel({ paper, pale, brand, accent, quiet, ink, onAccent }: Paints) {
  return (
    <>
      <rect width="240" height="180" fill={quiet} />
      <path d="M0 96h240M150 0v180" stroke={accent} strokeWidth="7" />
      <rect x="24" y="30" width="176" height="116" rx="3" fill={paper} />
      <rect x="24" y="30" width="176" height="26" rx="3" fill={brand} />
      <rect x="34" y="39" width="70" height="8" rx="2" fill={paper} />
      <text x="36" y="80" fontSize="8" letterSpacing="1.2" fill={ink}>
        TO
      </text>
      <text x="36" y="95" fontSize="12.5" fontWeight="700" fill={ink}>
        Mabel Orrin
      </text>
      <text x="36" y="110" fontSize="10.5" fill={ink}>
        3 Ropewalk Steps
      </text>
      <text x="36" y="124" fontSize="10.5" fill={ink}>
        Lower Harbour
      </text>
      <rect x="146" y="72" width="42" height="42" rx="4" fill={pale} />
      <path d="M153 79h12v12h-12zM169 79h12v12h-12zM153 95h12v12h-12zM172 98h9v9h-9z" fill={ink} />
      <rect x="146" y="122" width="42" height="15" rx="7.5" fill={accent} />
      <text x="167" y="132.5" textAnchor="middle" fontSize="9" fontWeight="700" fill={onAccent}>
        FRAGILE
      </text>
    </>
  )
}

function BookCover({ paper, pale, brand, accent, ink, onBrand, quiet }: Paints) {
  return (
    <>
      <rect width="240" height="180" fill={paper} />
      <ellipse cx="122" cy="166" rx="74" ry="7" fill={ink} opacity="0.18" />
      <rect x="66" y="14" width="112" height="150" rx="3" fill={brand} />
      <rect x="66" y="14" width="12" height="150" rx="2" fill={ink} opacity="0.35" />
      <circle cx="128" cy="112" r="26" fill={accent} />
      <path d="M78 130q14-14 26 0t26 0 26 0 22 0v34H78z" fill={pale} />
      <path d="M78 145q14-12 26 0t26 0 26 0 22 0v19H78z" fill={quiet} />
      <text x="90" y="46" fontSize="17" fontWeight="700" fill={onBrand}>
        Small
      </text>
      <text x="90" y="65" fontSize="17" fontWeight="700" fill={onBrand}>
        Tides
      </text>
      <text x="90" y="80" fontSize="8" letterSpacing="1" fill={onBrand}>
        A NOVEL
      </text>
    </>
  )
}

function MarketPoster({ paper, pale, brand, accent, ink, onAccent, onBrand }: Paints) {
  return (
    <>
      <rect width="240" height="180" fill={pale} />
      <rect x="48" y="8" width="144" height="166" fill={accent} />
      <g transform="translate(48 8)">
        {Array.from({ length: 6 }, (_, i) => (
          <path key={i} d={`M${i * 24} 0h24v30a12 12 0 0 1-24 0z`} fill={i % 2 ? paper : brand} />
        ))}
      </g>
      <text x="120" y="86" textAnchor="middle" fontSize="27" fontWeight="800" fill={onAccent}>
        Makers’
      </text>
      <text x="120" y="112" textAnchor="middle" fontSize="27" fontWeight="800" fill={onAccent}>
        Market
      </text>
      <rect x="66" y="124" width="108" height="22" rx="11" fill={ink} />
      <text x="120" y="139" textAnchor="middle" fontSize="11" fontWeight="700" fill={paper}>
        Sunday, 9 to 3
      </text>
      <rect x="48" y="154" width="144" height="20" fill={brand} />
      <text x="120" y="168" textAnchor="middle" fontSize="10" fill={onBrand}>
        on the old fish quay
      </text>
    </>
  )
}

function PhoneScreen({ paper, pale, brand, accent, ink, onAccent, onBrand, onPale }: Paints) {
  return (
    <>
      <rect width="240" height="180" fill={quietGround(pale, paper)} />
      <rect x="72" y="6" width="96" height="168" rx="13" fill={ink} />
      <rect x="77" y="11" width="86" height="158" rx="9" fill={paper} />
      <path d="M77 20a9 9 0 0 1 9-9h68a9 9 0 0 1 9 9v32H77z" fill={brand} />
      <text x="85" y="33" fontSize="10.5" fontWeight="700" fill={onBrand}>
        Good morning
      </text>
      <text x="85" y="45" fontSize="7.5" fill={onBrand}>
        Two boats free today
      </text>
      {[0, 1].map((i) => (
        <g key={i} transform={`translate(83 ${60 + i * 32})`}>
          <rect width="74" height="27" rx="5" fill={pale} />
          <circle cx="14" cy="13.5" r="7.5" fill={i ? brand : accent} />
          <text x="27" y="12" fontSize="8" fontWeight="700" fill={onPale}>
            {i ? 'Sandpiper' : 'Guillemot'}
          </text>
          <text x="27" y="21" fontSize="7" fill={onPale}>
            {i ? 'four seats' : 'six seats'}
          </text>
        </g>
      ))}
      <rect x="83" y="128" width="74" height="20" rx="10" fill={accent} />
      <text x="120" y="141.5" textAnchor="middle" fontSize="9" fontWeight="700" fill={onAccent}>
        Book a boat
      </text>
      <path d="M106 161h28" stroke={ink} strokeWidth="2.5" strokeLinecap="round" />
    </>
  )
}

/** Behind the phone: the pale colour, unless that is the paper itself. */
const quietGround = (pale: string, paper: string) => (pale === paper ? '#cfcfcf' : pale)

function PriceList({ paper, brand, accent, quiet, ink, onBrand }: Paints) {
  const rows = [
    ['Flat white', '3.20'],
    ['Pot of tea', '2.60'],
    ['Seed cake', '3.80'],
    ['Soup & bread', '6.50'],
  ] as const
  return (
    <>
      <rect width="240" height="180" fill={brand} />
      <text x="24" y="34" fontSize="17" fontWeight="700" fill={onBrand}>
        The Lamp Room
      </text>
      <rect x="24" y="44" width="34" height="4" fill={accent} />
      <rect x="24" y="58" width="192" height="108" rx="4" fill={paper} />
      {rows.map(([name, price], i) => (
        <g key={name} transform={`translate(36 ${80 + i * 24})`}>
          <text fontSize="12" fontWeight="600" fill={ink}>
            {name}
          </text>
          <text x="168" textAnchor="end" fontSize="12" fill={ink}>
            {price}
          </text>
          {i < 3 && <path d="M0 8h168" stroke={quiet} strokeWidth="1" strokeDasharray="2 3" />}
        </g>
      ))}
      <circle cx="208" cy="26" r="10" fill={accent} />
    </>
  )
}

/** Things of small businesses to see a palette on. A new one is a drawing and a line here. */
export const things: readonly Thing[] = [
  { id: 'sign', label: 'Shop sign', draw: ShopSign },
  { id: 'parcel', label: 'Parcel label', draw: ParcelLabel },
  { id: 'book', label: 'Book cover', draw: BookCover },
  { id: 'poster', label: 'Market poster', draw: MarketPoster },
  { id: 'phone', label: 'Phone screen', draw: PhoneScreen },
  { id: 'prices', label: 'Price list', draw: PriceList },
]

/** One thing, drawn in a palette's colours. */
export function ThingDrawing({ thing, cast }: { readonly thing: Thing; readonly cast: Cast }) {
  return (
    <svg viewBox="0 0 240 180" role="img" aria-label={thing.label} className="block w-full">
      {thing.draw(paintsOf(cast))}
    </svg>
  )
}
