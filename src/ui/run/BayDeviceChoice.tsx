import { useTranslations } from 'next-intl'
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
  const t = useTranslations()

  return (
    <details className="run-device">
      <summary>{t('bay.device.title')}</summary>
      <Form.Check
        id="bay-far"
        label={t('bay.device.far')}
        checked={device.isFar}
        onChange={(event) => change({ isFar: event.target.checked })}
      />
      <Form.Check
        id="bay-left"
        label={t('bay.device.leftHanded')}
        checked={device.isLeftHanded}
        onChange={(event) => change({ isLeftHanded: event.target.checked })}
      />
      <Form.Check
        id="bay-speaks"
        label={t('bay.device.aloud')}
        checked={device.speaks}
        onChange={(event) => change({ speaks: event.target.checked })}
      />
      <p className="soft">{t('bay.device.remote')}</p>
      {maySleep && <p className="soft">{t('bay.device.sleeps')}</p>}
    </details>
  )
}
