import { Link } from '@/ui/Link'
import { drawnWheel } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'

const example = drawnWheel({
  position: 'frontLeft',
  tyreCode: '245/40 R19',
  rimWidthInches: 8.5,
  spokeCount: 9,
  spokeWidthMillimetres: 34,
  spokeDepthMillimetres: 48,
  finishes: [
    { zone: 'face', finish: 'paintedGloss', condition: 'sound' },
    { zone: 'windows', finish: 'matte', condition: 'sound' },
    { zone: 'barrel', finish: 'paintedGloss', condition: 'sound' },
    { zone: 'lip', finish: 'diamondCut', condition: 'sound' },
    { zone: 'cap', finish: 'chrome', condition: 'sound' },
  ],
})

/** The first screen of an empty shop: what the program does, and one way forward. */
export function Welcome() {
  return (
    <div className="welcome">
      <div>
        <h1>Start with one set of wheels</h1>
        <ol>
          <li>Write down the tyre code, count the spokes, name the finish.</li>
          <li>Say what is on the wheels today.</li>
          <li>Get the plan: which product, how strong, which brush, how long, in which order.</li>
          <li>Work it step by step; the clocks run along.</li>
          <li>See when the protection is due again.</li>
        </ol>
        <Link href="/wheels/new" className="btn btn-primary">
          Add the first wheel set
        </Link>
        <p className="soft mt-3">
          No products of your own yet? The plan uses a house cabinet until you have some.
        </p>
      </div>
      {example && (
        <WheelDrawing
          {...example}
          id="welcome"
          label="An example wheel with dust on it"
          loads={{ face: { freshDust: 2, bondedDust: 2 }, barrel: { freshDust: 3 } }}
          ring={{ share: 0.62, tone: 'protection' }}
        />
      )}
    </div>
  )
}
