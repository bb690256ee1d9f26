import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import {
  orderBetween,
  pictureSchema,
  pictureVersion,
  type Frame,
  type Page,
  type Picture,
} from '@/core/site'
import { ferryFrame, ferryPages } from './ferry/ferry'
import { ternFrame } from './tern/frame'
import { home } from './tern/home'
import { shop, workshops } from './tern/selling'
import { about, checkout, contact, journal } from './tern/telling'

export interface DemoSite {
  readonly id: string
  readonly frame: Frame
  readonly pages: readonly Page[]
  readonly pictures: readonly Picture[]
  /** Where the bytes of a picture lie. */
  readonly fileOf: (picture: Picture) => string
}

const fileIn = (folder: string) => (fileName: string) =>
  path.join(process.cwd(), 'demo', 'assets', folder, fileName)

type Drawn = readonly [id: string, fileName: string, width: number, height: number, alt: string]

const pictures = (folder: string, drawn: readonly Drawn[]): Picture[] =>
  drawn.map(([id, fileName, width, height, alt]) =>
    pictureSchema.parse({
      schema: pictureVersion,
      id,
      file: createHash('sha256')
        .update(readFileSync(fileIn(folder)(fileName)))
        .digest('hex'),
      fileName,
      mediaType: fileName.endsWith('.svg') ? 'image/svg+xml' : 'image/jpeg',
      width,
      height,
      alt,
    }),
  )

/** Pages one behind the other, as they are listed. */
function inOrder(pages: readonly Page[]): Page[] {
  let last: string | null = null
  return pages.map((page) => ({ ...page, order: (last = orderBetween(last, null)) }))
}

/** The made-up businesses that the demo shows. */
export const demoSites: readonly DemoSite[] = [
  {
    id: 'tern-and-thistle',
    frame: ternFrame,
    pages: inOrder([home, workshops, shop, journal, about, contact, checkout]),
    fileOf: ({ fileName }) => fileIn('tern')(fileName),
    pictures: pictures('tern', [
      ['logo', 'logo.svg', 64, 64, 'Tern & Thistle'],
      [
        'harbour-paper',
        'harbour-paper.jpg',
        1040,
        832,
        'Combed marbled paper in green, cream and rust',
      ],
      ['pebble-paper', 'pebble-paper.jpg', 900, 675, 'Stone-marbled paper in rust and cream'],
      ['notebook-harbour', 'notebook-harbour.jpg', 720, 540, 'Notebook with a green marbled cover'],
      ['notebook-pebble', 'notebook-pebble.jpg', 720, 540, 'Notebook with a rust marbled cover'],
      ['notebook-kelp', 'notebook-kelp.jpg', 720, 540, 'Notebook with a grey-green marbled cover'],
      ['shopfront', 'shopfront.jpg', 1100, 760, 'The shop front, its woodwork painted green'],
    ]),
  },
  {
    id: 'ferrybank',
    frame: ferryFrame,
    pages: inOrder(ferryPages),
    fileOf: ({ fileName }) => fileIn('ferry')(fileName),
    pictures: pictures('ferry', [
      ['logo', 'logo.svg', 64, 64, 'Ferrybank Boat Hire'],
      ['boats', 'boats.jpg', 1100, 760, 'Rowing boats on a lake at dawn'],
    ]),
  },
]
