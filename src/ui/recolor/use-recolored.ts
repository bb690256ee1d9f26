import { useEffect, useRef, useState } from 'react'
import type { RecolorAnswer, RecolorQuestion, RecolorWish } from '@/workers/recolor.worker'

type Told = Extract<RecolorAnswer, { turn: number }>

/** A picture as it is and as it would be, as far as a worker has come. */
export interface Recolored {
  readonly before?: ImageBitmap
  readonly after?: Told
  /** What is wrong, in words. */
  readonly wrong?: string
}

const LOST = 'The file of this picture cannot be read; exchange the picture for another.'
const BROKE = 'This picture was too much for this browser. Save a smaller copy and exchange it.'

/** Recolours a small copy of a picture in a worker, again with every wish; the last one counts. */
export function useRecolored(address: string, wish: RecolorWish): Recolored {
  const worker = useRef<Worker>(null)
  const turn = useRef(0)
  const [recolored, setRecolored] = useState<Recolored>({})
  useEffect(() => {
    const own = new Worker(new URL('../../workers/recolor.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.current = own
    own.onmessage = ({ data }: MessageEvent<RecolorAnswer>) => {
      if ('problem' in data) return setRecolored({ wrong: LOST })
      if ('before' in data) return setRecolored((now) => ({ ...now, before: data.before }))
      if (data.turn === turn.current) setRecolored((now) => ({ ...now, after: data }))
    }
    own.onerror = () => setRecolored({ wrong: BROKE })
    void fetch(address)
      .then((answer) => (answer.ok ? answer.blob() : Promise.reject(new Error(answer.statusText))))
      .then((picture) => own.postMessage({ picture } satisfies RecolorQuestion))
      .catch(() => setRecolored({ wrong: LOST }))
    return () => own.terminate()
  }, [address])
  const isOpen = recolored.before !== undefined
  const { from, to, tolerance } = wish
  useEffect(() => {
    if (!isOpen) return
    turn.current += 1
    const question: RecolorQuestion = { turn: turn.current, from, to, tolerance }
    worker.current?.postMessage(question)
  }, [isOpen, from, to, tolerance])
  return recolored
}
