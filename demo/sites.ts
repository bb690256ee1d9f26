import type { Asset, Frame, Page } from '@/core/site'
import { ferryFrame, ferryPages } from './ferry/ferry'
import { ternFrame } from './tern/frame'
import { home } from './tern/home'
import { shop, workshops } from './tern/selling'
import { about, checkout, contact, journal } from './tern/telling'

export interface DemoSite {
  readonly id: string
  readonly frame: Frame
  readonly pages: readonly Page[]
  /** Where the pictures lie, below demo/assets. */
  readonly folder: string
  readonly assets: readonly Asset[]
}

const asset = (
  id: string,
  fileName: string,
  width: number,
  height: number,
  alt: string,
): Asset => ({
  id,
  fileName,
  mediaType: fileName.endsWith('.svg') ? 'image/svg+xml' : 'image/jpeg',
  width,
  height,
  alt,
})

/** The made-up businesses that the demo shows. */
export const demoSites: readonly DemoSite[] = [
  {
    id: 'tern-and-thistle',
    frame: ternFrame,
    pages: [home, workshops, shop, journal, about, contact, checkout],
    folder: 'tern',
    assets: [
      asset('logo', 'logo.svg', 64, 64, 'Tern & Thistle'),
      asset(
        'harbour-paper',
        'harbour-paper.jpg',
        1040,
        832,
        'Combed marbled paper in green, cream and rust',
      ),
      asset('pebble-paper', 'pebble-paper.jpg', 900, 675, 'Stone-marbled paper in rust and cream'),
      asset(
        'notebook-harbour',
        'notebook-harbour.jpg',
        720,
        540,
        'Notebook with a green marbled cover',
      ),
      asset(
        'notebook-pebble',
        'notebook-pebble.jpg',
        720,
        540,
        'Notebook with a rust marbled cover',
      ),
      asset(
        'notebook-kelp',
        'notebook-kelp.jpg',
        720,
        540,
        'Notebook with a grey-green marbled cover',
      ),
      asset('shopfront', 'shopfront.jpg', 1100, 760, 'The shop front, its woodwork painted green'),
    ],
  },
  {
    id: 'ferrybank',
    frame: ferryFrame,
    pages: ferryPages,
    folder: 'ferry',
    assets: [
      asset('logo', 'logo.svg', 64, 64, 'Ferrybank Boat Hire'),
      asset('boats', 'boats.jpg', 1100, 760, 'Rowing boats on a lake at dawn'),
    ],
  },
]
