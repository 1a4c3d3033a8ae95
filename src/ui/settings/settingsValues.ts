import type { EstimateId } from '@/core/estimates/houseEstimates'
import type { Methods } from '@/core/methods/methods'
import type { Region } from '@/core/units/region'
import type { Settings } from '@/contracts/settings'
import type { WearSettings } from './WearFields'

/** Each with the key of its name in `settings.equipment`. */
export const equipmentFields = [
  { path: 'bucketLitres', key: 'bucket', quantity: 'volume', keptIn: 'litre' },
  { path: 'pressureBar', key: 'pressure', quantity: 'pressure', keptIn: undefined },
  { path: 'lance.washerLitresPerMinute', key: 'washerFlow', quantity: 'flow', keptIn: undefined },
  { path: 'lance.drawLitresPerMinute', key: 'lanceDraw', quantity: 'flow', keptIn: undefined },
] as const
export type EquipmentPath = (typeof equipmentFields)[number]['path']

/** The settings as the form holds them: numbers as they were typed. */
export interface SettingsValues {
  readonly region: Region
  /** Of the shop as it was; a metric jug has its own. */
  readonly smallestMeasureMillilitres: number
  readonly shop: {
    readonly shopName: string
    readonly currency: string
    readonly dilutionStyle: string
    readonly ounces: string
    readonly northern: boolean
  }
  readonly place: { readonly latitude: string; readonly longitude: string }
  readonly schools: Methods
  readonly equipment: Readonly<Record<EquipmentPath, string>>
  /** Empty or absent: the house's. */
  readonly estimates: Partial<Record<EstimateId, string>>
  readonly wear: WearSettings
}

/** As a field shows a number. */
export const plain = (value: number): string => String(Number(value.toPrecision(4)))

/** @param region of a shop that has chosen none yet */
export function valuesOf(settings: Settings, region: Region): SettingsValues {
  const { equipment, filter, place } = settings
  return {
    region: settings.region ?? region,
    smallestMeasureMillilitres: equipment.smallestMeasureMillilitres,
    shop: {
      shopName: settings.shopName,
      currency: settings.currency,
      dilutionStyle: settings.dilutionStyle,
      ounces: settings.ounces ?? '',
      northern: settings.northern,
    },
    place: {
      latitude: place ? String(place.latitude) : '',
      longitude: place ? String(place.longitude) : '',
    },
    schools: settings.schools,
    equipment: {
      bucketLitres: plain(equipment.bucketLitres),
      pressureBar: plain(equipment.pressureBar),
      'lance.washerLitresPerMinute': plain(equipment.lance.washerLitresPerMinute),
      'lance.drawLitresPerMinute': plain(equipment.lance.drawLitresPerMinute),
    },
    estimates: Object.fromEntries(
      Object.entries(settings.estimates).map(([id, value]) => [id, plain(value)]),
    ),
    wear: {
      winterMonths: settings.winterMonths ?? [],
      salt: settings.salt,
      filter: {
        resinLitres: filter ? plain(filter.resinLitres) : '',
        hardnessPpm: filter ? plain(filter.hardnessPpm) : '',
        litresPerVisit: filter ? plain(filter.litresPerVisit) : '',
      },
    },
  }
}

/** A number where it is one; what was typed where not, so that the refusal shows it. */
function number(text: string | undefined): number | string {
  const typed = (text ?? '').trim()
  const value = Number(typed.replace(',', '.'))
  return typed === '' || !Number.isFinite(value) ? (text ?? '') : value
}

const isEmpty = (fields: Readonly<Record<string, string>>): boolean =>
  Object.values(fields).every((text) => text.trim() === '')

/** What the form sends; the contract reads it. */
export function inputOf(values: SettingsValues) {
  const { region, smallestMeasureMillilitres, shop, place, schools, equipment, estimates, wear } = values
  const { filter } = wear
  return {
    ...shop,
    region,
    ounces: shop.ounces || null,
    place: isEmpty(place) ? null : { latitude: number(place.latitude), longitude: number(place.longitude) },
    schools,
    winterMonths: wear.winterMonths.length === 0 ? null : wear.winterMonths,
    salt: wear.salt,
    filter: isEmpty(filter)
      ? null
      : {
          resinLitres: number(filter.resinLitres),
          hardnessPpm: number(filter.hardnessPpm),
          ...(filter.litresPerVisit.trim() === '' ? {} : { litresPerVisit: number(filter.litresPerVisit) }),
        },
    equipment: {
      smallestMeasureMillilitres:
        region.jug.system === 'metric' ? region.jug.stepMillilitres : smallestMeasureMillilitres,
      bucketLitres: number(equipment.bucketLitres),
      pressureBar: number(equipment.pressureBar),
      lance: {
        washerLitresPerMinute: number(equipment['lance.washerLitresPerMinute']),
        drawLitresPerMinute: number(equipment['lance.drawLitresPerMinute']),
      },
    },
    estimates: Object.fromEntries(
      Object.entries(estimates)
        .filter(([, text]) => (text ?? '').trim() !== '')
        .map(([id, text]) => [id, number(text)]),
    ),
  }
}
