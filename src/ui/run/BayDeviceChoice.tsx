import Form from 'react-bootstrap/Form'
import type { BayDevice } from './useBayDevice'

interface BayDeviceChoiceProps {
  readonly device: BayDevice
  readonly change: (changes: Partial<BayDevice>) => void
  /** The browser lets the screen sleep, whatever the page asks. */
  readonly maySleep: boolean
}

/** How this device shows and says the bay. */
export function BayDeviceChoice({ device, change, maySleep }: BayDeviceChoiceProps) {
  return (
    <details className="run-device">
      <summary>This device</summary>
      <Form.Check
        id="bay-far"
        label="Large text, for two metres"
        checked={device.isFar}
        onChange={(event) => change({ isFar: event.target.checked })}
      />
      <Form.Check
        id="bay-left"
        label="Main button for the left hand"
        checked={device.isLeftHanded}
        onChange={(event) => change({ isLeftHanded: event.target.checked })}
      />
      <Form.Check
        id="bay-speaks"
        label="Say the next card and the clocks aloud"
        checked={device.speaks}
        onChange={(event) => change({ speaks: event.target.checked })}
      />
      <p className="soft">
        A remote or foot switch works too: Space, Enter or Page Down is the big button, Page Up or Backspace
        takes back.
      </p>
      {maySleep && (
        <p className="soft">
          This browser lets the screen sleep: set the device to stay on; the clocks run either way.
        </p>
      )}
    </details>
  )
}
