import { box, disc, HEIGHT, line, moved, oval, shape, times, turned, WIDTH } from './shapes'
import type { Drawing, DrawingColors } from './drawing'

/** Somebody from the shoulders up. */
const person =
  (hair: string) =>
  ({ soft, mid, strong, deep, pale }: DrawingColors, cloth: string) =>
    box(0, 0, WIDTH, HEIGHT, soft) +
    disc(400, 300, 250, mid) +
    shape('M160 600c0-140 110-190 240-190s240 50 240 190z', cloth) +
    box(356, 340, 88, 100, pale, 40) +
    oval(400, 270, 106, 128, pale) +
    shape(hair, deep) +
    line('M372 316c18 16 38 16 56 0', strong, 6)

/** What lives: plants, animals, people. */
export const living: readonly Drawing[] = [
  {
    id: 'leaf',
    alt: 'One large leaf',
    draw: ({ pale, strong, deep, soft }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      turned(
        24,
        400,
        300,
        shape('M400 40c220 120 220 400 0 540-220-140-220-420 0-540z', deep),
        line('M400 60v530', soft, 6),
        times(6, (i) => line(`M400 ${160 + i * 62}l110-56M400 ${160 + i * 62}l-110-56`, soft, 4)),
      ) +
      disc(650, 120, 46, strong),
  },
  {
    id: 'branch',
    alt: 'A branch with berries',
    draw: ({ soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      line('M60 560C260 460 420 300 740 90', deep, 9) +
      times(8, (i) =>
        moved(
          130 + i * 74,
          500 - i * 54,
          turned(i % 2 ? 30 : -70, 0, 0, oval(0, -60, 26, 62, i % 3 ? mid : deep)),
        ),
      ) +
      times(7, (i) => disc(190 + i * 80, 520 - i * 56, 15, strong)),
  },
  {
    id: 'pot',
    alt: 'A plant in a pot',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      box(0, 500, WIDTH, 100, pale) +
      times(7, (i) => turned(-66 + i * 22, 400, 380, oval(400, 230, 34, 150, i % 2 ? mid : deep))) +
      shape('M290 370h220l-30 170H320z', strong) +
      box(276, 352, 248, 36, strong, 8),
  },
  {
    id: 'flowers',
    alt: 'A meadow in flower',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(9, (i) => {
        const [x, y] = [60 + i * 86, 190 + ((i * 113) % 200)]
        const petals = times(6, (k) =>
          turned(k * 60, x, y, oval(x, y - 34, 18, 34, i % 3 ? strong : mid)),
        )
        return line(`M${x} ${y}v${600 - y}`, deep, 6) + petals + disc(x, y, 16, soft)
      }),
  },
  {
    id: 'citrus',
    alt: 'Halves of citrus fruit',
    draw: ({ pale, soft, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      [
        [260, 250, 170],
        [580, 380, 150],
        [600, 120, 90],
      ]
        .map(
          ([x, y, r]) =>
            disc(x!, y!, r!, strong) +
            disc(x!, y!, r! * 0.88, pale) +
            times(9, (i) =>
              turned(
                i * 40,
                x!,
                y!,
                shape(
                  `M${x} ${y! - 8} ${x! - r! * 0.22} ${y! - r! * 0.76}a${r! * 0.3} ${r! * 0.16} 0 0 1 ${r! * 0.44} 0z`,
                  i % 2 ? soft : strong,
                ),
              ),
            ),
        )
        .join(''),
  },
  {
    id: 'harvest',
    alt: 'A crate of vegetables',
    draw: ({ soft, pale, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(7, (i) =>
        disc(
          170 + i * 78,
          300 - (i % 2) * 34,
          66,
          [strong, mid, deep, strong, mid, deep, strong][i]!,
        ),
      ) +
      times(7, (i) => line(`M${170 + i * 78} ${240 - (i % 2) * 34}c-20-30 0-60 10-70`, deep, 8)) +
      times(3, (i) => box(100, 330 + i * 74, 600, 60, soft, 6)) +
      box(110, 320, 24, 220, ink, 4) +
      box(666, 320, 24, 220, ink, 4),
  },
  {
    id: 'cat',
    alt: 'A cat asleep',
    draw: ({ soft, strong, deep, pale }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      oval(400, 470, 330, 70, strong) +
      oval(430, 380, 220, 120, deep) +
      disc(240, 380, 92, deep) +
      shape('M166 330l10-80 60 50zM250 300l62-46 4 82z', deep) +
      line('M196 386c14 12 30 12 42 0M258 392c14 12 30 12 42 0', pale, 6) +
      line('M640 400c70 20 50 110-60 90', deep, 34),
  },
  {
    id: 'bird',
    alt: 'A bird on a wire',
    draw: ({ pale, strong, deep, mid, ink }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      line('M0 430c260 30 540 30 800 0', ink, 6) +
      shape('M250 330c40-130 190-190 290-110l70 14-56 40c-10 120-130 170-230 150L170 470z', deep) +
      shape('M310 330c70-50 150-40 190 10-50 60-130 60-190-10z', mid) +
      disc(530, 240, 10, pale) +
      shape('M604 234l60 12-62 26z', strong) +
      line('M380 424v26M430 424v28', ink, 7),
  },
  {
    id: 'dog',
    alt: 'A dog sitting up',
    draw: ({ strong, soft, pale, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, strong) +
      shape('M300 600c-20-160 20-260 110-270s150 110 140 270z', pale) +
      oval(400, 250, 110, 120, pale) +
      shape(
        'M292 190c-60 10-70 120-40 170 50-10 70-110 40-170zM508 190c60 10 70 120 40 170-50-10-70-110-40-170z',
        deep,
      ) +
      oval(400, 300, 54, 44, soft) +
      oval(400, 282, 22, 16, ink) +
      disc(360, 230, 10, ink) +
      disc(440, 230, 10, ink) +
      line('M372 322c18 16 38 16 56 0', ink, 6),
  },
  {
    id: 'portrait-one',
    alt: 'Somebody with a bun, smiling',
    draw: (colors) =>
      person(
        'M284 270c-10-150 90-190 116-190s126 40 116 190c-20-90-60-110-116-110s-96 20-116 110zM350 90a50 50 0 1 1 100 0z',
      )(colors, colors.strong),
  },
  {
    id: 'portrait-two',
    alt: 'Somebody with short hair and a collar',
    draw: (colors) =>
      person('M290 240c-6-110 60-140 110-140s120 30 110 140c-30-50-60-70-110-70s-90 20-110 70z')(
        colors,
        colors.deep,
      ) + shape('M330 430l70 60 70-60 20 30-90 80-90-80z', colors.pale),
  },
  {
    id: 'portrait-three',
    alt: 'Somebody with long hair',
    draw: (colors) =>
      person(
        'M270 460c-30-230 10-380 130-380s160 150 130 380c-40-60-24-170-40-230-50-20-110-20-180 0-16 60 0 170-40 230z',
      )(colors, colors.mid),
  },
  {
    id: 'two',
    alt: 'Two people at a table',
    draw: ({ soft, mid, strong, deep, pale }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      [
        [230, strong],
        [570, deep],
      ]
        .map(
          ([x, fill]) =>
            shape(`M${Number(x) - 120} 470c0-110 50-160 120-160s120 50 120 160z`, String(fill)) +
            disc(Number(x), 240, 76, pale),
        )
        .join('') +
      box(60, 440, 680, 30, mid, 8) +
      box(120, 470, 24, 130, mid) +
      box(656, 470, 24, 130, mid) +
      box(370, 392, 60, 48, pale, 8),
  },
]
