import { mkdir, writeFile } from 'node:fs/promises'
import path from 'node:path'
import sharp from 'sharp'
import { marble, type Paper } from './marbling'
import { boatScene, ferryLogo, notebookScene, shopfrontScene, ternLogo } from './scenes'

/** Draws the demo's pictures anew: `npx tsx demo/art/pictures.ts`. The results are kept in demo/assets. */
const folder = path.join(import.meta.dirname, '..', 'assets')

const combed = (pitch: number): Paper['combs'] => [
  { direction: [0, 1], offset: 0, spacing: pitch * 2.5, pull: pitch * 2.9, reach: 0.955 },
  {
    direction: [0, -1],
    offset: pitch * 1.25,
    spacing: pitch * 2.5,
    pull: pitch * 2.9,
    reach: 0.955,
  },
  { direction: [1, 0], offset: 10, spacing: pitch, pull: pitch * 0.9, reach: 0.9 },
]
const swirled: Paper['combs'] = [
  { direction: [0.92, 0.39], height: 22, length: 180 },
  { direction: [-0.39, 0.92], height: 14, length: 120 },
]

const papers: Readonly<Record<string, Paper>> = {
  harbour: {
    width: 1040,
    height: 832,
    seed: 11,
    ground: '#1d5955',
    drops: 90,
    inks: [
      ['#1d5955', 4],
      ['#f7f2e7', 3],
      ['#dce5e0', 2],
      ['#d65a2a', 2],
      ['#17211f', 1],
      ['#2e7a72', 2],
    ],
    combs: combed(38),
  },
  pebble: {
    width: 900,
    height: 675,
    seed: 5,
    ground: '#f7f2e7',
    drops: 120,
    inks: [
      ['#f7f2e7', 3],
      ['#d65a2a', 3],
      ['#e9c9a8', 2],
      ['#1d5955', 2],
      ['#dce5e0', 1],
      ['#8c2f16', 1],
    ],
    combs: swirled,
  },
  kelp: {
    width: 700,
    height: 560,
    seed: 23,
    ground: '#dce5e0',
    drops: 80,
    inks: [
      ['#dce5e0', 3],
      ['#5c6866', 2],
      ['#1d5955', 3],
      ['#f7f2e7', 2],
      ['#c9a24b', 1],
    ],
    combs: combed(30),
  },
}

const jpeg = (data: Buffer) => sharp(data).jpeg({ quality: 84, mozjpeg: true }).toBuffer()

async function drawScene(svg: string, width: number, height: number): Promise<Buffer> {
  return sharp(Buffer.from(svg)).resize(width, height).png().toBuffer()
}

/** A drawn scene with the softness and the grain of a photograph. */
async function photograph(svg: string, width: number, height: number): Promise<Buffer> {
  const sharpScene = await drawScene(svg, width, height)
  const grain = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 14 },
    },
  })
    .png()
    .toBuffer()
  return sharp(sharpScene)
    .blur(1.1)
    .composite([{ input: grain, blend: 'soft-light' }])
    .png()
    .toBuffer()
}

async function main(): Promise<void> {
  for (const site of ['tern', 'ferry']) await mkdir(path.join(folder, site), { recursive: true })
  const keep = (name: string, data: Buffer | string) => writeFile(path.join(folder, name), data)
  const sheets: Record<string, Buffer> = {}
  for (const [name, paper] of Object.entries(papers)) sheets[name] = await marble(paper)

  await keep('tern/logo.svg', ternLogo)
  await keep('tern/harbour-paper.jpg', await jpeg(sheets.harbour!))
  await keep('tern/pebble-paper.jpg', await jpeg(sheets.pebble!))
  const books = [
    ['notebook-harbour', 'harbour', '#17211f', '#e9e1cf'],
    ['notebook-pebble', 'pebble', '#8c2f16', '#dce5e0'],
    ['notebook-kelp', 'kelp', '#1d5955', '#f0dcc4'],
  ] as const
  for (const [name, sheet, spine, ground] of books) {
    const picture = (await jpeg(sheets[sheet]!)).toString('base64')
    const scene = notebookScene(`data:image/jpeg;base64,${picture}`, spine, ground)
    await keep(`tern/${name}.jpg`, await jpeg(await drawScene(scene, 720, 540)))
  }
  await keep('tern/shopfront.jpg', await jpeg(await photograph(shopfrontScene, 1100, 760)))
  await keep('ferry/logo.svg', ferryLogo)
  await keep('ferry/boats.jpg', await jpeg(await drawScene(boatScene, 1100, 760)))
}

await main()
