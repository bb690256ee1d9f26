import { box, chance, disc, HEIGHT, line, moved, oval, shape, times, turned, WIDTH } from './shapes'
import type { Drawing } from './drawing'

/** Where one is: land, water, weather, streets. */
export const places: readonly Drawing[] = [
  {
    id: 'hills',
    alt: 'Hills behind one another under a low sun',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      disc(560, 250, 90, strong) +
      shape('M0 360C160 280 300 320 420 360S680 300 800 340V600H0z', soft) +
      shape('M0 440C180 360 330 430 470 420S700 380 800 420V600H0z', mid) +
      shape('M0 520C200 440 420 540 800 470V600H0z', deep),
  },
  {
    id: 'waves',
    alt: 'Long waves rolling in',
    draw: ({ pale, soft, mid, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(5, (i) =>
        shape(
          `M-60 ${180 + i * 90}c80-60 140-60 220 0s140 60 220 0 140-60 220 0 140 60 260 0V600H-60z`,
          [soft, mid, deep, mid, deep][i]!,
        ),
      ),
  },
  {
    id: 'mountains',
    alt: 'Three mountains with bright peaks',
    draw: ({ soft, mid, deep, pale, strong }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      disc(650, 130, 56, strong) +
      shape('M40 600 300 180 560 600z', mid) +
      shape('M300 180 240 276 290 260 320 290 360 276z', pale) +
      shape('M330 600 560 260 800 600z', deep) +
      shape('M560 260 506 340 556 322 590 346 614 342z', pale),
  },
  {
    id: 'harbour',
    alt: 'Boats with bare masts lying in a harbour',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      box(0, 400, WIDTH, 200, mid) +
      times(4, (i) => {
        const x = 110 + i * 185
        return (
          line(`M${x} 400V${140 + (i % 2) * 50}`, deep, 6) +
          shape(`M${x + 8} 170 ${x + 84} 360H${x + 8}z`, i % 2 ? strong : soft) +
          shape(`M${x - 80} 392h170l-30 60h-110z`, deep)
        )
      }) +
      times(6, (i) => line(`M${40 + i * 130} ${500 + (i % 3) * 28}h70`, pale, 4)),
  },
  {
    id: 'field',
    alt: 'Rows of a field running to the horizon',
    draw: ({ pale, soft, mid, strong, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      disc(200, 150, 60, strong) +
      box(0, 260, WIDTH, 340, soft) +
      times(9, (i) => shape(`M400 260 ${-400 + i * 200} 600h90z`, i % 2 ? mid : deep)),
  },
  {
    id: 'night',
    alt: 'A night sky over roofs',
    draw: ({ ink, deep, soft, strong, pale }) => {
      const next = chance(7)
      return (
        box(0, 0, WIDTH, HEIGHT, ink) +
        times(46, () => disc(next() * WIDTH, next() * 380, 1.5 + next() * 2.5, pale)) +
        disc(620, 130, 54, soft) +
        disc(596, 116, 50, ink) +
        times(6, (i) =>
          moved(
            i * 140 - 20,
            430 + (i % 3) * 26,
            shape('M0 60 70 0l70 60v200H0z', deep),
            box(50, 84, 34, 40, i % 2 ? strong : soft, 3),
          ),
        )
      )
    },
  },
  {
    id: 'forest',
    alt: 'Firs standing close together',
    draw: ({ pale, soft, mid, deep }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(14, (i) => {
        const [x, h] = [i * 62 - 30, 260 + ((i * 97) % 160)]
        return shape(`M${x} 600 ${x + 62} ${600 - h} ${x + 124} 600z`, [soft, mid, deep][i % 3]!)
      }),
  },
  {
    id: 'street',
    alt: 'Narrow houses in a row, each with its own front',
    draw: ({ pale, soft, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, pale) +
      times(5, (i) => {
        const [x, h] = [20 + i * 154, 330 + ((i * 71) % 110)]
        return (
          shape(`M${x} ${600 - h}l72-64 72 64v${h}H${x}z`, [soft, strong, mid, deep, soft][i]!) +
          times(6, (k) =>
            box(
              x + 24 + (k % 2) * 60,
              640 - h + Math.floor(k / 2) * 82,
              36,
              52,
              i === 3 ? pale : ink,
              3,
            ),
          ) +
          box(x + 56, 530, 40, 70, i % 2 ? ink : deep, 4)
        )
      }),
  },
  {
    id: 'river',
    alt: 'A river bending through meadows',
    draw: ({ pale, soft, mid, deep, strong }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      shape(
        'M430 0c-60 120 220 150 120 290S120 420 180 600h330c-60-150 330-170 250-330S640 120 660 0z',
        mid,
      ) +
      times(7, (i) =>
        disc(90 + i * 116, 110 + ((i * 137) % 380), 26 + (i % 3) * 8, i % 4 ? deep : strong),
      ) +
      line('M470 0c-50 130 210 150 120 290S190 430 250 600', pale, 5),
  },
  {
    id: 'shop',
    alt: 'A small shop with an awning',
    draw: ({ pale, soft, mid, strong, deep, ink }) =>
      box(0, 0, WIDTH, HEIGHT, soft) +
      box(110, 110, 580, 440, deep) +
      times(10, (i) =>
        shape(`M${110 + i * 58} 220h58v44a29 29 0 0 1-58 0z`, i % 2 ? pale : strong),
      ) +
      box(150, 300, 300, 190, pale, 6) +
      times(5, (i) =>
        box(
          172 + i * 54,
          400 - ((i * 37) % 50),
          40,
          90 + ((i * 37) % 50),
          [mid, strong, soft, mid, ink][i]!,
          4,
        ),
      ) +
      box(500, 290, 130, 260, mid, 6) +
      box(524, 316, 82, 110, pale, 4) +
      disc(614, 440, 8, ink) +
      box(0, 550, WIDTH, 50, ink),
  },
  {
    id: 'window',
    alt: 'Light falling through a tall window',
    draw: ({ pale, soft, mid, deep, strong }) =>
      box(0, 0, WIDTH, HEIGHT, deep) +
      shape('M250 90h300v330H250z', pale) +
      shape('M250 420h300l120 180H120z', mid) +
      line('M400 90v330M250 250h300', deep, 12) +
      oval(470, 400, 40, 20, soft) +
      turned(-8, 470, 380, shape('M470 390c-30-70-10-140 0-150s40 80 0 150z', strong)),
  },
  {
    id: 'rain',
    alt: 'Rain on an umbrella',
    draw: ({ soft, mid, strong, deep, pale }) =>
      box(0, 0, WIDTH, HEIGHT, mid) +
      times(40, (i) => line(`M${((i * 173) % 860) - 20} ${(i * 89) % 600}l-14 44`, pale, 3)) +
      shape(
        'M180 330a220 190 0 0 1 440 0c-36-30-74-30-110 0-36-30-74-30-110 0-36-30-74-30-110 0-36-30-74-30-110 0z',
        strong,
      ) +
      line('M400 140v360c0 50-70 50-70 0', deep, 10) +
      box(0, 560, WIDTH, 40, soft),
  },
]
