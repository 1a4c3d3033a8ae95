import { Starter } from './Starter'

export const dynamic = 'force-dynamic'

export default function Page() {
  return <Starter />
}
