import { fromOklab, toOklab, type Color } from '../color'
import { flatColors, mixtureFinder, type PixelBytes } from '../picture'

/** A picture as a canvas gives it. */
export interface Pixels {
  readonly data: PixelBytes
  readonly width: number
  readonly height: number
}

/** A colour of a picture, how much of it there is (0…1), and where it is seen at its purest (0…1 of width and height). */
export interface Extracted {
  readonly color: Color
  readonly share: number
  readonly x: number
  readonly y: number
}

/** Boxes that a picture is averaged down to, clusters before near ones are merged. */
const BOXES = 20_000
const CLUSTERS = 20
const ROUNDS = 8
/** OKLab distances below which two clusters are one colour. */
const SAME = 0.045

/** A range of green in one box, 0…255, above which it lies across an edge and not in noise. */
const EDGE = 56

interface Sample {
  l: number
  a: number
  b: number
  readonly x: number
  readonly y: number
}

/** The picture in boxes, each by its mean, leaving out what can be seen through. */
function boxAverages({ data, width, height }: Pixels): Sample[] {
  const side = Math.max(1, Math.floor(Math.sqrt((width * height) / BOXES)))
  const samples: Sample[] = []
  for (let top = 0; top < height; top += side) {
    const bottom = Math.min(height, top + side)
    for (let left = 0; left < width; left += side) {
      const right = Math.min(width, left + side)
      let r = 0
      let g = 0
      let b = 0
      let count = 0
      let [low, high] = [255, 0]
      for (let y = top; y < bottom; y += 1) {
        for (let i = (y * width + left) * 4, end = (y * width + right) * 4; i < end; i += 4) {
          if (data[i + 3]! < 128) continue
          r += data[i]!
          g += data[i + 1]!
          b += data[i + 2]!
          count += 1
          low = Math.min(low, data[i + 1]!)
          high = Math.max(high, data[i + 1]!)
        }
      }
      if (count * 2 < (bottom - top) * (right - left)) continue
      if (high - low > EDGE) {
        // The box lies across an edge: its mean would be a colour that is nowhere. Its middle is somewhere.
        const middle = (((top + bottom) >> 1) * width + ((left + right) >> 1)) * 4
        r = data[middle]! * count
        g = data[middle + 1]! * count
        b = data[middle + 2]! * count
      }
      const scale = 255 * count
      const lab = toOklab({ r: r / scale, g: g / scale, b: b / scale, alpha: 1 })
      samples.push({
        l: lab.l,
        a: lab.a,
        b: lab.b,
        x: (left + right) / 2 / width,
        y: (top + bottom) / 2 / height,
      })
    }
  }
  return samples
}

interface Cluster {
  l: number
  a: number
  b: number
  weight: number
}

const squared = (p: Pick<Cluster, 'l' | 'a' | 'b'>, q: Pick<Cluster, 'l' | 'a' | 'b'>) =>
  (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2

/** Samples that fall together in a coarse grid of OKLab, as weighted points. */
function binned(samples: readonly Sample[]): Cluster[] {
  const bins = new Map<number, Cluster>()
  for (const { l, a, b } of samples) {
    const key =
      (Math.round(l * 50) << 14) | (Math.round((a + 0.5) * 64) << 7) | Math.round((b + 0.5) * 64)
    const bin = bins.get(key) ?? { l: 0, a: 0, b: 0, weight: 0 }
    bin.l += l
    bin.a += a
    bin.b += b
    bin.weight += 1
    bins.set(key, bin)
  }
  for (const bin of bins.values()) {
    bin.l /= bin.weight
    bin.a /= bin.weight
    bin.b /= bin.weight
  }
  return [...bins.values()]
}

/**
 * First centres: the heaviest point, then each time the one that is farthest
 * from all centres for its weight. No chance is involved, so one picture always
 * gives one palette.
 */
function firstCentres(points: readonly Cluster[], count: number): Cluster[] {
  const centres = [points.reduce((best, point) => (point.weight > best.weight ? point : best))]
  const gaps = points.map((point) => squared(point, centres[0]!))
  while (centres.length < Math.min(count, points.length)) {
    let best = 0
    for (let i = 1; i < points.length; i += 1) {
      const gain = gaps[i]! * Math.sqrt(points[i]!.weight)
      if (gain > gaps[best]! * Math.sqrt(points[best]!.weight)) best = i
    }
    if (gaps[best] === 0) break
    centres.push(points[best]!)
    points.forEach((point, i) => {
      gaps[i] = Math.min(gaps[i]!, squared(point, points[best]!))
    })
  }
  return centres.map((centre) => ({ ...centre }))
}

function nearest(centres: readonly Cluster[], point: Pick<Cluster, 'l' | 'a' | 'b'>): number {
  let best = 0
  let least = Infinity
  for (let i = 0; i < centres.length; i += 1) {
    const gap = squared(point, centres[i]!)
    if (gap >= least) continue
    least = gap
    best = i
  }
  return best
}

/** Lloyd's iteration on weighted points (k-means). */
function settle(points: readonly Cluster[], start: readonly Cluster[]): Cluster[] {
  let centres = [...start]
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums = centres.map(() => ({ l: 0, a: 0, b: 0, weight: 0 }))
    for (const point of points) {
      const sum = sums[nearest(centres, point)]!
      sum.l += point.l * point.weight
      sum.a += point.a * point.weight
      sum.b += point.b * point.weight
      sum.weight += point.weight
    }
    centres = sums
      .filter(({ weight }) => weight > 0)
      .map(({ l, a, b, weight }) => ({ l: l / weight, a: a / weight, b: b / weight, weight }))
  }
  return centres
}

/** Joins clusters that are one colour to the eye, nearest first, each time into their weighted mean. */
function merged(clusters: readonly Cluster[]): Cluster[] {
  const kept = clusters.map((cluster) => ({ ...cluster }))
  for (;;) {
    let pair: readonly [number, number] | undefined
    let least = SAME * SAME
    kept.forEach((one, i) => {
      for (let j = 0; j < i; j += 1) {
        const gap = squared(one, kept[j]!)
        if (gap >= least) continue
        least = gap
        pair = [j, i]
      }
    })
    if (!pair) return kept.sort((a, b) => b.weight - a.weight)
    join(kept, pair)
  }
}

/** Joins two clusters of a list into their weighted mean, in the place of the first. */
function join(clusters: Cluster[], [first, second]: readonly [number, number]): void {
  const [one] = clusters.splice(second, 1)
  const into = clusters[first]!
  const weight = into.weight + one!.weight
  const mean = (p: number, q: number) => (p * into.weight + q * one!.weight) / weight
  Object.assign(into, {
    l: mean(into.l, one!.l),
    a: mean(into.a, one!.a),
    b: mean(into.b, one!.b),
    weight,
  })
}

/** How much a flat colour of a drawing matters: by area, but a vivid one far from the others is not lost for being small. */
function importance(cluster: Cluster, chosen: readonly Cluster[], total: number): number {
  const chroma = Math.hypot(cluster.a, cluster.b)
  const apart = Math.min(0.5, ...chosen.map((each) => Math.sqrt(squared(each, cluster))))
  return (cluster.weight / total) ** 0.25 * (0.25 + chroma * 4) * (0.1 + apart)
}

/** A mixture of two larger flat colours below this share is an edge between them, no colour of its own. Common practice, no source. */
const EDGE_SHARE = 0.04

/** The flat colours of a drawing, the most important first, without the mixtures along its edges; none for a photograph. */
function drawn({ data }: Pixels, samples: readonly Sample[], count: number): Cluster[] {
  const flat = flatColors(data)
  const weights = flat.map(() => 0)
  const clusters = flat.map(([r, g, b]) => {
    const { l, a, b: blue } = toOklab({ r: r / 255, g: g / 255, b: b / 255, alpha: 1 })
    return { l, a, b: blue, weight: 0 }
  })
  for (const sample of samples) weights[nearest(clusters, sample)]! += 1
  const pool = clusters.flatMap((cluster, i) => {
    const weight = weights[i]!
    const larger = flat.slice(0, i)
    const isEdge =
      weight < EDGE_SHARE * samples.length && !!mixtureFinder(larger, () => true)(...flat[i]!)
    return isEdge ? [] : [{ ...cluster, weight }]
  })
  const chosen = pool.splice(0, 1)
  while (chosen.length < count && pool.length > 0) {
    const rank = pool.map((cluster) => importance(cluster, chosen, samples.length))
    chosen.push(...pool.splice(rank.indexOf(Math.max(...rank)), 1))
  }
  return chosen
}

/** The mean squared distance in OKLab of points from the nearest of some centres. */
const distortion = (points: readonly Cluster[], centres: readonly Cluster[]): number =>
  points.reduce(
    (sum, point) => sum + point.weight * squared(point, centres[nearest(centres, point)]!),
    0,
  )

/**
 * What makes a small area an accent, and what it may cost. Common practice, no source.
 * `chroma` (OKLab), `share` of the picture, and distance from all chosen colours `apart`: at least.
 * `cost`: how many times larger the distortion may become. In a picture without any other vivid
 * colour, the mean distance (OKLab) from the chosen colours may become `unseen` all the same.
 */
const ACCENT = { chroma: 0.09, share: 0.003, apart: 0.12, cost: 1.2, unseen: 0.035 } as const

const isVivid = ({ a, b }: Cluster) => Math.hypot(a, b) >= ACCENT.chroma

/**
 * Puts vivid colours of small areas in the place of centres that are missed least, as long as the
 * picture as a whole is told nearly as well.
 */
function withAccents(
  points: readonly Cluster[],
  centres: readonly Cluster[],
  clusters: readonly Cluster[],
  total: number,
): Cluster[] {
  let chosen = [...centres]
  const best = distortion(points, centres)
  const accents = clusters
    .filter((cluster) => isVivid(cluster) && cluster.weight >= ACCENT.share * total)
    .sort((one, other) => Math.hypot(other.a, other.b) - Math.hypot(one.a, one.b))
  for (const accent of accents) {
    if (chosen.some((each) => squared(each, accent) < ACCENT.apart ** 2)) continue
    // The others settle around it; it must still be there then.
    const swapped = chosen
      .map((_, i) => settle(points, [...chosen.slice(0, i), ...chosen.slice(i + 1), accent]))
      .filter((centres) => centres.some((each) => squared(each, accent) < (ACCENT.apart / 2) ** 2))
      .map((centres) => [distortion(points, centres), centres] as const)
      .sort(([one], [other]) => one - other)[0]
    const bearable = chosen.some(isVivid)
      ? ACCENT.cost * best
      : Math.max(ACCENT.cost * best, ACCENT.unseen ** 2 * total)
    if (swapped && swapped[0] <= bearable) chosen = swapped[1]
  }
  return chosen
}

/** Centres of k-means for a number of colours, from fixed beginnings: the best one counts. */
function centresFor(
  points: readonly Cluster[],
  clusters: readonly Cluster[],
  count: number,
): Cluster[] {
  const heaviest = [...clusters].sort((a, b) => b.weight - a.weight).slice(0, count)
  const beginnings = [firstCentres(points, count), heaviest, fewer(clusters, count)]
  const settled = beginnings.map((start) => settle(points, start))
  const rated = settled.map((centres) => [distortion(points, centres), centres] as const)
  return rated.sort(([one], [other]) => one - other)[0]![1]
}

/** Clusters joined, each time the two that cost least (Ward), until few enough are left. */
function fewer(clusters: readonly Cluster[], count: number): Cluster[] {
  const kept = clusters.map((cluster) => ({ ...cluster }))
  while (kept.length > count) {
    let pair: readonly [number, number] = [0, 1]
    let least = Infinity
    kept.forEach((one, i) => {
      for (let j = 0; j < i; j += 1) {
        const other = kept[j]!
        const cost =
          ((one.weight * other.weight) / (one.weight + other.weight)) * squared(one, other)
        if (cost < least) [least, pair] = [cost, [j, i]]
      }
    })
    join(kept, pair)
  }
  return kept
}

/**
 * The colours of a picture, those of the largest areas first, or for a drawing the most important; at most `count` (1…24), fewer
 * where it holds fewer. Empty for a picture that is all transparent.
 * Method: the flat colours of a drawing as they are; else box averages, k-means in OKLab from fixed
 * beginnings, merging of what looks alike, and vivid accents in the place of what is missed least.
 */
export function extractColors(pixels: Pixels, count: number): Extracted[] {
  const samples = boxAverages(pixels)
  if (samples.length === 0) return []
  const flat = drawn(pixels, samples, count)
  if (flat.length > 0) return flat.map((cluster) => placed(cluster, samples))
  const points = binned(samples)
  const many = settle(points, firstCentres(points, Math.max(CLUSTERS, count * 2)))
  // Mixtures along edges are rare and between others; what is under a thousandth of the area is left out.
  const all = merged(many)
  const left = all.filter(({ weight }) => weight >= samples.length / 1000)
  const clusters = left.length > 0 ? left : all
  const wanted = Math.min(count, clusters.length)
  const found = withAccents(points, centresFor(points, many, wanted), clusters, samples.length)
  return merged(found).map((cluster) => placed(cluster, samples))
}

function placed(cluster: Cluster, samples: readonly Sample[]): Extracted {
  let best = samples[0]!
  let least = Infinity
  for (const sample of samples) {
    const gap = squared(sample, cluster)
    if (gap >= least) continue
    least = gap
    best = sample
  }
  const { l, a, b, weight } = cluster
  const color = fromOklab({ l, a, b, alpha: 1 })
  return { color, share: weight / samples.length, x: best.x, y: best.y }
}
