import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { speaksOfFluoride } from '@/core/chemistry/fluoride'
import type { ProductValues } from './productValues'

interface FluorideChecksProps {
  readonly values: Pick<ProductValues, 'name' | 'note' | 'containsFluoride' | 'fluorideChecked'>
  readonly change: (part: Partial<Pick<ProductValues, 'containsFluoride' | 'fluorideChecked'>>) => void
}

/** Whether there is fluoride in it; asked again where its name or note speak of it. */
export function FluorideChecks({ values, change }: FluorideChecksProps) {
  const t = useTranslations()

  // A draft of an earlier form has neither.
  const { name, note = '', containsFluoride, fluorideChecked = false } = values
  return (
    <>
      <Form.Check
        className="mt-3"
        id="fluoride"
        type="checkbox"
        label={t('cabinet.product.fluoride.listed')}
        checked={containsFluoride}
        onChange={(event) => change({ containsFluoride: event.target.checked })}
      />
      {speaksOfFluoride({ name, note, containsFluoride, fluorideChecked: false }) && (
        <Form.Check
          id="fluoride-checked"
          type="checkbox"
          label={t('cabinet.product.fluoride.checked')}
          checked={fluorideChecked}
          onChange={(event) => change({ fluorideChecked: event.target.checked })}
        />
      )}
    </>
  )
}
