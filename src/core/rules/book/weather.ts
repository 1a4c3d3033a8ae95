import type { Rule } from '../rule'
import { dressings, longLived, sealants, wipedOn } from './protections'

export const weatherRules: readonly Rule[] = [
  {
    id: 'frost', verdict: 'no', safety: true, purpose: 'clean', airBelowCelsius: -5,
    reason: 'In hard frost water freezes on the wheel, in the brakes and on the floor before it runs off.',
  },
  {
    id: 'near-freezing', verdict: 'withCare', safety: true, purpose: 'clean', airBelowCelsius: 2,
    reason: 'Water freezes where it stays.',
    care: 'Mind ice on the floor; blow gaps and discs dry before the car stands.',
  },
  {
    id: 'coating-in-the-cold', verdict: 'no', safety: false, families: longLived, airBelowCelsius: 10,
    reason: 'Below 10 °C a coating does not cure as it should.',
  },
  {
    id: 'coating-in-heat', verdict: 'no', safety: false, families: longLived, airAboveCelsius: 30,
    reason: 'Above 30 °C a coating flashes before it can be levelled.',
  },
  {
    id: 'coating-in-damp', verdict: 'no', safety: false, families: longLived, humidityAboveShare: 0.8,
    reason: 'Above 80 % humidity a coating turns cloudy.',
  },
  {
    id: 'sealant-in-the-cold', verdict: 'no', safety: false, families: sealants, airBelowCelsius: 5,
    reason: 'Below 5 °C what is wiped on smears and does not bond.',
  },
  {
    id: 'sealant-in-damp', verdict: 'no', safety: false, families: sealants, humidityAboveShare: 0.92,
    reason: 'Above 92 % humidity the wheel does not get dry enough for what is wiped on.',
  },
  {
    id: 'dressing-in-the-cold', verdict: 'no', safety: false, zones: ['tyre', 'arch'], families: dressings, airBelowCelsius: 3,
    reason: 'On rubber near freezing a dressing stays wet and slings.',
  },
  {
    id: 'dressing-in-damp', verdict: 'no', safety: false, zones: ['tyre', 'arch'], families: dressings, humidityAboveShare: 0.95,
    reason: 'Above 95 % humidity rubber does not dry, and a dressing on wet rubber runs off.',
  },
  {
    id: 'dry-work-in-rain', verdict: 'no', safety: false, families: [...wipedOn, ...dressings], inRain: true,
    reason: 'It rains on the wheels: what has to go on dry and stay dry does not hold.',
  },
  {
    id: 'solvent-in-rain', verdict: 'no', safety: false, families: ['tarRemover', 'ironTarRemover', 'waterlessSpray', 'metalPolish'], inRain: true,
    reason: 'It rains on the wheels: this works on a dry wheel only.',
  },
] // prettier-ignore
