import { box, disc, HEIGHT, line, moved, oval, ring, shape, times, turned, WIDTH } from './shapes'
import type { Drawing } from './drawing'

/** What one holds in one's hands, makes, eats, plays. */
export const things: readonly Drawing[] = [
  {
    id: 'bicycle',
    alt: 'A bicycle leaning in the light',
    draw: ({ pale, soft, strong, ink }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      box(0, 470, WIDTH, 130, soft) +
      [210, 590]
        .map(
          (x) =>
            ring(x, 380, 120, ink, 12) +
            times(12, (i) => turned(i * 30, x, 380, line(`M${x} 380V268`, ink, 2))),
        )
        .join('') +
      line('M210 380 300 220h220M590 380 500 180M300 220 400 380H210M400 380 516 220', strong, 14) +
      line('M270 200h64M500 180h58l14-24', ink, 14) +
      disc(400, 380, 26, ink),
  },
  {
    id: 'wheel',
    alt: 'A spoked wheel, close to',
    draw: ({ soft, strong, deep, pale }) =>
      box(0, 0, WIDTH, HEIGHT, strong) +
      ring(400, 340, 300, deep, 34) +
      ring(400, 340, 268, pale, 8) +
      times(24, (i) => turned(i * 15, 400, 340, line('M412 300 400 74', soft, 4))) +
      disc(400, 340, 44, deep) +
      disc(400, 340, 16, pale),
  },
  {
    id: 'tools',
    alt: 'Tools hanging on a board',
    draw: ({ soft, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      times(5, (i) => disc(120 + i * 140, 110, 9, ink)) +
      moved(90, 120, box(20, 0, 24, 300, deep, 10), shape('M0-10h64l10 60H-10z', ink)) +
      moved(236, 120, box(14, 60, 22, 250, mid, 10), ring(25, 30, 36, mid, 20)) +
      moved(380, 120, shape('M0 0h40l-12 200H12z', ink), box(6, 190, 28, 130, strong, 12)) +
      moved(520, 120, line('M0 0c0 120 60 140 60 300M60 0C60 120 0 140 0 300', deep, 18)) +
      moved(660, 120, box(10, 0, 20, 150, ink, 4), box(0, 150, 40, 160, strong, 16)),
  },
  {
    id: 'cup',
    alt: 'A steaming cup on a saucer',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, strong) +
      oval(400, 480, 260, 44, deep) +
      oval(400, 466, 230, 34, pale) +
      ring(556, 340, 56, pale, 26) +
      shape('M250 260h300c0 130-50 210-150 210S250 390 250 260z', pale) +
      oval(400, 262, 150, 30, deep) +
      oval(400, 262, 128, 22, mid) +
      [340, 400, 460].map((x) => line(`M${x} 200c-30-40 30-60 0-110`, soft, 10)).join(''),
  },
  {
    id: 'bread',
    alt: 'Loaves on a cloth',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      shape('M80 430 400 330l330 90-310 130z', pale) +
      shape('M180 400c-30-130 110-200 230-190s230 90 190 200c-20 60-390 60-420-10z', strong) +
      times(4, (i) => turned(-18, 290 + i * 70, 320, oval(290 + i * 70, 320, 14, 70, mid))) +
      turned(
        16,
        560,
        200,
        oval(560, 190, 170, 58, deep),
        times(4, (i) => line(`M${440 + i * 76} 160l40 56`, mid, 9)),
      ),
  },
  {
    id: 'bottles',
    alt: 'Bottles and glasses on a bar',
    draw: ({ ink, mid, strong, soft, pale, deep }) =>
      box(0, 0, WIDTH, HEIGHT, ink) +
      box(0, 460, WIDTH, 140, deep) +
      times(5, (i) => {
        const x = 80 + i * 116
        return (
          shape(
            `M${x} 460V270c0-40 26-40 26-90v-50h28v50c0 50 26 50 26 90v190z`,
            [mid, strong, soft, mid, strong][i]!,
          ) + box(x + 12, 330, 56, 70, pale, 4)
        )
      }) +
      shape('M660 300h110c0 80-30 100-46 108v46h30v12h-78v-12h30v-46c-16-8-46-28-46-108z', pale),
  },
  {
    id: 'books',
    alt: 'Books on a shelf, one leaning',
    draw: ({ pale, soft, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      box(0, 480, WIDTH, 26, ink) +
      times(9, (i) => {
        const [x, h, w] = [60 + i * 64, 250 + ((i * 83) % 120), 44 + ((i * 29) % 16)]
        const fill = [deep, strong, mid, pale, ink, strong, deep, mid, pale][i]!
        return box(x, 480 - h, w, h, fill, 3) + box(x + 8, 500 - h, w - 16, 10, soft)
      }) +
      turned(14, 690, 480, box(660, 230, 50, 250, strong, 3)),
  },
  {
    id: 'lamp',
    alt: 'A lamp over a desk',
    draw: ({ deep, ink, strong, pale, soft, mid }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      shape('M320 250 120 520h480L460 250z', mid) +
      line('M390 0v120', ink, 8) +
      shape('M270 250c0-90 60-140 120-140s120 50 120 140z', strong) +
      oval(390, 250, 120, 20, pale) +
      box(0, 510, WIDTH, 90, ink) +
      box(200, 486, 190, 24, soft, 4) +
      box(210, 464, 170, 22, pale, 4),
  },
  {
    id: 'chair',
    alt: 'A chair alone in a bright room',
    draw: ({ pale, soft, strong, deep, mid }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      box(0, 440, WIDTH, 160, soft) +
      line('M310 120v400M490 300v220M310 300l-40 250M490 300l36 250', deep, 18) +
      box(296, 290, 220, 34, strong, 12) +
      box(296, 110, 34, 190, deep, 10) +
      times(3, (i) => line(`M330 ${150 + i * 44}h20`, mid, 12)) +
      oval(420, 556, 210, 18, mid),
  },
  {
    id: 'thread',
    alt: 'Spools of thread',
    draw: ({ pale, soft, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(3, (i) => {
        const x = 120 + i * 200
        const fill = [strong, deep, mid][i]!
        return (
          box(x, 170, 150, 26, ink, 8) +
          box(x, 430, 150, 26, ink, 8) +
          box(x + 12, 196, 126, 234, fill) +
          times(7, (k) => line(`M${x + 14} ${216 + k * 32}l122 12`, soft, 4))
        )
      }) +
      line('M245 300c40 200 220 220 300 90s150-60 200-200', strong, 5),
  },
  {
    id: 'vase',
    alt: 'A vase with three stems',
    draw: ({ soft, mid, strong, deep, pale }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      box(0, 470, WIDTH, 130, pale) +
      [
        [330, 120],
        [420, 80],
        [500, 150],
      ]
        .map(
          ([x, y]) =>
            line(`M400 340Q${x} 260 ${x} ${y}`, deep, 7) +
            disc(x!, y!, 44, strong) +
            disc(x!, y!, 16, mid),
        )
        .join('') +
      shape(
        'M350 300h100c-6 60 60 80 60 150 0 60-50 90-110 90s-110-30-110-90c0-70 66-90 60-150z',
        deep,
      ),
  },
  {
    id: 'plates',
    alt: 'A table laid for four, from above',
    draw: ({ mid, pale, soft, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      box(60, 50, 680, 500, mid, 30) +
      [
        [220, 190],
        [580, 190],
        [220, 410],
        [580, 410],
      ]
        .map(
          ([x, y]) =>
            disc(x!, y!, 92, pale) +
            ring(x!, y!, 62, soft, 5) +
            line(`M${x! - 120} ${y! - 60}v120M${x! + 120} ${y! - 60}v120`, pale, 8),
        )
        .join('') +
      disc(400, 300, 62, strong) +
      times(6, (i) => turned(i * 60, 400, 300, oval(400, 270, 14, 32, soft))),
  },
  {
    id: 'parcel',
    alt: 'A parcel tied with string',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      shape('M190 260 400 170l210 90v220L400 570 190 480z', mid) +
      shape('M190 260 400 350v220L190 480z', deep) +
      shape('M190 260 400 170l210 90-210 90z', soft) +
      line('M295 215 505 305v218M505 215 295 305v218', strong, 10) +
      line('M400 258c-50-90-110-40 0 0 110-40 50-90 0 0', strong, 8),
  },
  {
    id: 'record',
    alt: 'A record on a turntable',
    draw: ({ strong, ink, deep, soft, pale }) =>
      box(0, 0, WIDTH, HEIGHT, strong) +
      box(70, 60, 660, 480, soft, 24) +
      disc(350, 300, 210, ink) +
      times(6, (i) => ring(350, 300, 90 + i * 20, deep, 2)) +
      disc(350, 300, 70, strong) +
      disc(350, 300, 10, pale) +
      line('M660 110v170L500 400', deep, 14) +
      disc(660, 110, 30, deep),
  },
  {
    id: 'stage',
    alt: 'Lights over a stage',
    draw: ({ ink, deep, strong, mid, soft, pale }) =>
      box(0, 0, WIDTH, HEIGHT, ink) +
      [120, 320, 520, 700]
        .map((x, i) => shape(`M${x} 60 ${x - 120} 460h200z`, [strong, mid, soft, strong][i]!))
        .join('') +
      [120, 320, 520, 700].map((x) => disc(x, 56, 22, pale)).join('') +
      box(0, 450, WIDTH, 150, deep) +
      times(16, (i) => disc(20 + i * 52, 560 + (i % 3) * 14, 34, ink)) +
      line('M400 300v150M370 450h60', pale, 8) +
      oval(400, 290, 16, 24, pale),
  },
  {
    id: 'keys',
    alt: 'The keys of a piano',
    draw: ({ pale, ink, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      box(0, 120, WIDTH, 14, strong) +
      times(8, (i) => box(4 + i * 100, 134, 92, 440, pale, 6)) +
      [0, 1, 3, 4, 5, 7].map((i) => box(70 + i * 100, 134, 60, 270, ink, 5)).join(''),
  },
  {
    id: 'ledger',
    alt: 'An open ledger with a pen',
    draw: ({ soft, pale, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      shape('M90 120h300v390H90z', pale) +
      shape('M410 120h300v390H410z', soft) +
      times(9, (i) =>
        line(
          `M120 ${170 + i * 36}h${180 + ((i * 53) % 60)}M440 ${170 + i * 36}h${140 + ((i * 71) % 90)}`,
          mid,
          4,
        ),
      ) +
      line('M640 150v330', strong, 4) +
      turned(34, 520, 330, box(500, 120, 24, 340, ink, 10), shape('M500 460h24l-12 44z', strong)),
  },
  {
    id: 'scissors',
    alt: 'Scissors on cloth',
    draw: ({ soft, strong, ink, pale, mid }) =>
      box(0, 0, WIDTH, HEIGHT, strong) +
      shape('M0 330 800 170v430H0z', soft) +
      line('M60 420 760 276', pale, 5) +
      turned(
        -12,
        400,
        320,
        shape('M250 300 640 250l-10 40-370 44z', ink),
        shape('M250 330 640 370l-10-40-370-34z', mid),
        ring(190, 270, 54, ink, 22),
        ring(190, 372, 54, mid, 22),
        disc(300, 316, 10, pale),
      ),
  },
]
