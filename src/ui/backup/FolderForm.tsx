'use client'

import { useTranslations } from 'next-intl'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { useWritingForm } from '../form/useWritingForm'

interface FolderFormProps {
  /** Empty: none; they lie in the data folder. */
  readonly chosen: string
  readonly keep: FormAction<unknown>
}

/** Chooses where backups lie. */
export function FolderForm({ chosen, keep }: FolderFormProps) {
  const t = useTranslations()

  const form = useWritingForm({ name: ['backupFolder'], initial: { folder: chosen }, send: keep })
  return (
    <FormFrame form={form} className="reminder-form">
      <TextField
        id="backup-folder"
        label={t('settings.backups.folder.label')}
        maxLength={500}
        placeholder={t('settings.backups.folder.placeholder')}
        {...form.at('folder')}
      />
      <SubmitButton form={form} isSecond>
        {t('settings.backups.folder.save')}
      </SubmitButton>
      <FormStatus
        form={form}
        isAtField={(path) => path === 'folder'}
        saved={t('settings.backups.folder.saved')}
      />
    </FormFrame>
  )
}
