import { PaintView } from '@/ui/shell'

export default function PaintPage() {
  return <PaintView />
}
