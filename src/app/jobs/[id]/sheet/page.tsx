import { getSay } from '@/i18n/getSay'
import { spoken } from '@/i18n/spoken'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { PrintButton } from '@/ui/PrintButton'
import { JobSheet } from '@/ui/sheet/JobSheet'
import { jobOr404 } from '../findJobOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('sheet.title')

export default async function SheetPage({ params }: { params: Promise<{ id: string }> }) {
  const t = await getTranslations()

  const { id } = await params
  const { jobFile, plan } = await jobOr404(id)
  const { dilutionStyle } = await readSettings(await database())
  return (
    <>
      <div className="sheet-tools chips mb-3">
        <PrintButton />
        <Link href={`/jobs/${id}`} className="btn btn-outline-secondary">
          {t('sheet.back')}
        </Link>
      </div>
      <JobSheet
        title={`${jobFile.vehicle.name}, ${jobFile.wheelSet.name}`}
        plan={spoken(plan, await getSay())}
        dilutionStyle={dilutionStyle}
        startAt={jobFile.conditions.startAt}
        utcOffsetMinutes={jobFile.conditions.utcOffsetMinutes}
      />
    </>
  )
}
