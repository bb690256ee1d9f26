import { RhythmView } from '@/ui/rhythm'

export default function RhythmPage() {
  return <RhythmView />
}
