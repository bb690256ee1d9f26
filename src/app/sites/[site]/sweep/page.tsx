import { SweepView } from '@/ui/sweep'

export default function SweepViewPage() {
  return <SweepView />
}
