'use client'

import { useTranslations } from 'next-intl'
import type { Translator } from '@/i18n/translator'

import type { KeyboardEvent, ReactNode } from 'react'
import type { Finish } from '@/core/finishes/finish'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import type { FinishState } from '@/core/finishes/finishState'
import { soils, type Grade, type Soil } from '@/core/soils/soil'
import type { WheelGeometry } from '@/core/wheel-geometry'
import { finishZoneOf, type FinishZone, type Zone } from '@/core/wheel/zone'
import { arcPath, ringPath, wheelShape } from './shape'
import { soilClass } from './soilClass'
import { specksOf, specksPath } from './specks'
import { Textures } from './textures'

/** Zones that can be seen, and tapped, from the front. */
export const drawnZones = [
  'arch',
  'tyre',
  'lip',
  'barrel',
  'windows',
  'face',
  'caliper',
  'lugSeats',
  'cap',
  'valve',
] as const satisfies readonly Zone[]

export interface RingMark {
  /** Share of the circle that is filled, 0 to 1. */
  readonly share: number
  readonly tone: 'protection' | 'chemistry' | 'ready' | 'warm' | 'quiet'
  /** What is left of the film that is on the wheel, 0 to 1; null or absent: none, or it does not dry. */
  readonly film?: number | null
  /** How far the share can be trusted: a guess is drawn in dashes, what is likely in longer ones; absent: sure. */
  readonly sureness?: 'sure' | 'likely' | 'guess'
}

interface WheelDrawingProps {
  readonly wheel: WheelGeometry
  readonly finishes: Partial<Record<FinishZone, FinishState>>
  readonly loads?: ZoneLoads
  /** Ids of patterns must not clash within a page. */
  readonly id: string
  /** What the drawing is of, for those who hear it. */
  readonly label: string
  readonly ring?: RingMark
  /** Zones that chemistry is on now: tinted, and running off the rim. */
  readonly wet?: readonly Zone[]
  readonly selected?: Zone | null
  /** Zones drawn bright while the others stand back. */
  readonly highlighted?: readonly Zone[]
  readonly onZone?: (zone: Zone) => void
}

const describe = (zone: Zone, loads: ZoneLoads | undefined, finish: Finish | null, t: Translator): string => {
  const dirt = Object.entries(loads?.[zone] ?? {})
    .filter(([, grade]) => grade > 0)
    .map(([soil, grade]) => `${t(`terms.grade.${grade as Grade}`)} ${t(`terms.soil.${soil as Soil}`)}`)
  return [t(`terms.zone.${zone}`), finish ? t(`terms.finish.${finish}`) : '', dirt.join(', ')]
    .filter(Boolean)
    .join('; ')
}

/**
 * The wheel, from its real geometry: spoke count, spoke width, rim and tyre to scale, finish as texture, dirt as graded.
 * Pure: the server draws it, and a browser that gives `onZone` makes every zone a button.
 */
export function WheelDrawing(props: WheelDrawingProps) {
  const t = useTranslations()
  const { wheel, finishes, loads, id, label, ring, wet = [], selected, highlighted, onZone } = props
  const shape = wheelShape(wheel)
  const closed = wheel.spokeCount === 0
  const sides = shape.spokeSides.join(' ')
  const finishAt = (zone: Zone): Finish => {
    const finishZone = finishZoneOf(zone)
    return (finishZone && finishes[finishZone]?.finish) ?? 'unknown'
  }
  const fill = (zone: Zone) => `url(#${id}-${finishAt(zone)})`

  const specks = (zone: Zone, inner: number, outer: number, lowest = Infinity) =>
    soils.map((soil) => {
      const grade = loads?.[zone]?.[soil] ?? 0
      return grade === 0 ? null : (
        <path
          key={soil}
          className={soilClass[soil]}
          d={specksPath(specksOf(soil, grade, inner, outer).filter(({ y }) => y < lowest))}
        />
      )
    })

  const rimIsWet = wet.some((name) => name !== 'arch' && name !== 'tyre')

  /** @param edge outline that marks the zone while it is chosen or has the focus */
  const zone = (name: Zone, edge: string, children: ReactNode) => {
    const marks = [
      'wheel-zone',
      selected === name ? 'is-selected' : '',
      highlighted && !highlighted.includes(name) ? 'is-back' : '',
    ]
    if (!onZone) {
      return (
        <g key={name} className={marks.join(' ')}>
          {children}
        </g>
      )
    }
    return (
      <g
        key={name}
        role="button"
        tabIndex={0}
        aria-pressed={selected === name}
        aria-label={describe(name, loads, finishZoneOf(name) ? finishAt(name) : null, t)}
        className={`${marks.join(' ')} can-tap`}
        onClick={() => onZone(name)}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key !== 'Enter' && event.key !== ' ') return
          event.preventDefault()
          onZone(name)
        }}
      >
        {children}
        <path className="zone-edge" d={edge} />
      </g>
    )
  }

  const browning = loads?.tyre?.tyreBrowning ?? 0
  const film = (name: Zone) => (loads?.[name]?.film ?? 0) * 0.11
  const lugs = Array.from({ length: 5 }, (_, index) => (index / 5) * 2 * Math.PI - Math.PI / 2 + 0.3)
  const used = [...new Set(drawnZones.filter((name) => finishZoneOf(name) !== null).map(finishAt))]

  return (
    <svg
      className={`wheel-drawing${wet.length > 0 ? ' is-wet' : ''}`}
      viewBox="-124 -124 248 248"
      role={onZone ? 'group' : 'img'}
      aria-label={label}
    >
      <defs>
        <Textures prefix={id} finishes={used} />
        <clipPath id={`${id}-rim`}>
          <circle r={shape.lipRadius} />
        </clipPath>
      </defs>

      {ring && (
        <g className={`wheel-ring tone-${ring.tone} is-${ring.sureness ?? 'sure'}`}>
          <circle className="ring-track" r="119" />
          {ring.share > 0 && <path className="ring-fill" d={arcPath(119, 0, ring.share)} />}
          {ring.film != null && ring.film > 0 && (
            <path className="ring-film" d={arcPath(114, 0, ring.film)} />
          )}
        </g>
      )}

      {zone(
        'arch',
        arcPath(107, 0.72, 1.28),
        <>
          <path className="arch-liner" d={arcPath(107, 0.72, 1.28)} />
          {loads?.arch && <g className="arch-dirt">{specks('arch', 104, 110, 15)}</g>}
        </>,
      )}
      {zone(
        'tyre',
        ringPath(98.5, shape.rimRadius + 1.5),
        <>
          <path className="tyre-rubber" fillRule="evenodd" d={ringPath(100, shape.rimRadius)} />
          <circle className="tyre-tread" r="97.5" />
          <circle className="tyre-line" r={(100 + shape.rimRadius) / 2 + 2} />
          {browning > 0 && (
            <circle
              className="tyre-brown"
              r={(100 + shape.rimRadius) / 2}
              strokeWidth={(100 - shape.rimRadius) * 0.7}
              opacity={0.1 * browning}
            />
          )}
        </>,
      )}
      {zone(
        'barrel',
        ringPath(shape.lipRadius - 1, shape.rotorRadius),
        <>
          <circle r={shape.lipRadius} fill={fill('barrel')} />
          <circle className="barrel-shade" r={shape.lipRadius} />
          {!closed && <circle className="rotor" r={shape.rotorRadius} />}
          <circle r={shape.lipRadius} className="film-veil" opacity={film('barrel')} />
          {specks('barrel', shape.rotorRadius, shape.lipRadius)}
        </>,
      )}
      {!closed &&
        zone(
          'caliper',
          arcPath(shape.rotorRadius * 0.86, 0.16, 0.34),
          <g clipPath={`url(#${id}-rim)`}>
            <path
              className="caliper"
              d={arcPath(shape.rotorRadius * 0.86, 0.16, 0.34)}
              strokeWidth={shape.rotorRadius * 0.34}
            />
          </g>,
        )}
      {!closed &&
        zone(
          'windows',
          sides,
          <>
            <path fill={fill('windows')} d={sides} />
            <path className="window-shade" d={sides} />
          </>,
        )}
      {zone(
        'face',
        closed ? ringPath(shape.lipRadius - 1, shape.capRadius) : shape.spokes.join(' '),
        <>
          <g fill={fill('face')} className="face-metal">
            {!closed && <path d={shape.spokes.join(' ')} />}
            <circle r={closed ? shape.lipRadius : shape.hubRadius} />
            {closed && <circle className="disc-step" r={shape.lipRadius * 0.72} />}
          </g>
          <g clipPath={`url(#${id}-rim)`}>
            <circle r={shape.lipRadius} className="film-veil" opacity={film('face') * 0.8} />
            {specks('face', shape.hubRadius * 0.5, shape.lipRadius)}
          </g>
        </>,
      )}
      {zone(
        'lip',
        ringPath(shape.rimRadius - 0.6, shape.lipRadius + 0.6),
        <>
          <path fillRule="evenodd" d={ringPath(shape.rimRadius, shape.lipRadius)} fill={fill('lip')} />
          <circle className="lip-edge" r={shape.rimRadius} />
          <circle className="lip-edge" r={shape.lipRadius} />
          {specks('lip', shape.lipRadius, shape.rimRadius)}
        </>,
      )}
      {zone(
        'lugSeats',
        ringPath(shape.lugRadius + 3.4, shape.lugRadius - 3.4),
        lugs.map((angle) => (
          <circle
            key={angle}
            className="lug"
            cx={Math.round(Math.cos(angle) * shape.lugRadius * 100) / 100}
            cy={Math.round(Math.sin(angle) * shape.lugRadius * 100) / 100}
            r={shape.hubRadius * 0.13}
          />
        )),
      )}
      {zone(
        'cap',
        ringPath(shape.capRadius, shape.capRadius - 0.6),
        <>
          <circle r={shape.capRadius} fill={fill('cap')} />
          <circle className="lip-edge" r={shape.capRadius} />
        </>,
      )}
      {zone(
        'valve',
        specksPath([{ x: 0, y: (shape.lipRadius + shape.rimRadius) / 2, r: 4 }]),
        <circle className="valve" cx="0" cy={(shape.lipRadius + shape.rimRadius) / 2} r="2.2" />,
      )}

      {wet.includes('arch') && <path className="wet-arc" d={arcPath(107, 0.72, 1.28)} strokeWidth="8" />}
      {wet.includes('tyre') && (
        <circle className="wet-arc" r={(100 + shape.rimRadius) / 2} strokeWidth={100 - shape.rimRadius} />
      )}
      {rimIsWet && (
        <g className="wet-film" clipPath={`url(#${id}-rim)`}>
          <circle r={shape.lipRadius} className="wet-sheen" />
          {shape.spokeAngles.map((angle, index) => {
            const x = Math.round(Math.cos(angle) * shape.lipRadius * 0.72 * 10) / 10
            const y = Math.round(Math.sin(angle) * shape.lipRadius * 0.72 * 10) / 10
            return <path key={angle} className="wet-run" d={`M ${x} ${y} v ${8 + (index % 4) * 5}`} />
          })}
        </g>
      )}
    </svg>
  )
}
