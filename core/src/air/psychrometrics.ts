import { requireWithin } from '../refusal'

/** Standard pressure at sea level, kPa. */
export const standardPressureKPa = 101.325

/** Lowest and highest air temperature the functions of this file answer for, °C. */
export const airRangeC = { lo: -40, hi: 80 } as const

/**
 * Saturation pressure of water vapour over ice (below 0.01 °C) or water, kPa.
 * @param temperatureC air temperature, °C; fitted from −100 to 200 °C
 * @source Hyland & Wexler 1983, in ASHRAE Fundamentals ch. 1, eq. 5 and 6
 */
export function saturationVapourPressureKPa(temperatureC: number): number {
  const T = temperatureC + 273.15
  const lnPa =
    temperatureC <= 0.01
      ? -5.6745359e3 / T +
        6.3925247 -
        9.677843e-3 * T +
        6.2215701e-7 * T ** 2 +
        2.0747825e-9 * T ** 3 -
        9.484024e-13 * T ** 4 +
        4.1635019 * Math.log(T)
      : -5.8002206e3 / T +
        1.3914993 -
        4.8640239e-2 * T +
        4.1764768e-5 * T ** 2 -
        1.4452093e-8 * T ** 3 +
        6.5459673 * Math.log(T)
  return Math.exp(lnPa) / 1000
}

/** Pressure of the water vapour in air, kPa. */
export const vapourPressureKPa = (temperatureC: number, relativeHumidityPct: number): number =>
  (saturationVapourPressureKPa(temperatureC) * relativeHumidityPct) / 100

/** The air's drying power: how far its vapour pressure is from saturation, kPa. */
export const vapourPressureDeficitKPa = (temperatureC: number, relativeHumidityPct: number): number =>
  saturationVapourPressureKPa(temperatureC) * (1 - relativeHumidityPct / 100)

/** Grams of water vapour in a cubic metre of air (ideal gas, R = 461.5 J/(kg·K)). */
export const absoluteHumidityGPerM3 = (temperatureC: number, relativeHumidityPct: number): number =>
  (vapourPressureKPa(temperatureC, relativeHumidityPct) * 1e6) / (461.524 * (temperatureC + 273.15))

/** Finds x in [lo, hi] where the rising function f is 0, by halving, to 1e-9. */
function rootOfRising(f: (x: number) => number, lo: number, hi: number): number {
  for (let i = 0; i < 80 && hi - lo > 1e-9; i++) {
    const mid = (lo + hi) / 2
    if (f(mid) > 0) hi = mid
    else lo = mid
  }
  return (lo + hi) / 2
}

/**
 * Temperature at which this air begins to sweat (frost point below 0 °C), °C.
 * Inverts the saturation pressure, so it holds wherever that does.
 */
export function dewPointC(temperatureC: number, relativeHumidityPct: number): number {
  const target = vapourPressureKPa(temperatureC, relativeHumidityPct)
  return rootOfRising((t) => saturationVapourPressureKPa(t) - target, -100, temperatureC)
}

/** Kilograms of vapour in a kilogram of dry air. ASHRAE Fundamentals ch. 1, eq. 20. */
export const humidityRatio = (vapourKPa: number, pressureKPa = standardPressureKPa): number =>
  (0.621945 * vapourKPa) / (pressureKPa - vapourKPa)

/** Humidity ratio of air at `t` whose wet bulb stands at `wet`. ASHRAE Fundamentals ch. 1, eq. 33 and 35. */
function humidityRatioFromWetBulb(t: number, wet: number, pressureKPa: number): number {
  const ws = humidityRatio(saturationVapourPressureKPa(wet), pressureKPa)
  return wet >= 0
    ? ((2501 - 2.326 * wet) * ws - 1.006 * (t - wet)) / (2501 + 1.86 * t - 4.186 * wet)
    : ((2830 - 0.24 * wet) * ws - 1.006 * (t - wet)) / (2830 + 1.86 * t - 2.1 * wet)
}

/** Temperature a wet thermometer falls to in moving air, °C. */
export function wetBulbC(temperatureC: number, relativeHumidityPct: number, pressureKPa = standardPressureKPa): number {
  const ratio = Math.max(humidityRatio(vapourPressureKPa(temperatureC, relativeHumidityPct), pressureKPa), 1e-7)
  const dew = dewPointC(temperatureC, relativeHumidityPct)
  return rootOfRising((wet) => humidityRatioFromWetBulb(temperatureC, wet, pressureKPa) - ratio, dew, temperatureC)
}

export interface AirState {
  saturationVapourPressureKPa: number
  vapourPressureKPa: number
  vapourPressureDeficitKPa: number
  dewPointC: number
  wetBulbC: number
  absoluteHumidityGPerM3: number
}

/**
 * Everything the air at one temperature and humidity says.
 * @throws Refusal `out-of-range` outside −40…80 °C, 0…100 %, 50…120 kPa
 */
export function airState(
  temperatureC: number,
  relativeHumidityPct: number,
  pressureKPa = standardPressureKPa,
): AirState {
  requireWithin(temperatureC, airRangeC.lo, airRangeC.hi, 'temperatureC', '°C')
  requireWithin(relativeHumidityPct, 0, 100, 'relativeHumidityPct', '%')
  requireWithin(pressureKPa, 50, 120, 'pressureKPa', 'kPa')
  return {
    saturationVapourPressureKPa: saturationVapourPressureKPa(temperatureC),
    vapourPressureKPa: vapourPressureKPa(temperatureC, relativeHumidityPct),
    vapourPressureDeficitKPa: vapourPressureDeficitKPa(temperatureC, relativeHumidityPct),
    dewPointC: dewPointC(temperatureC, relativeHumidityPct),
    wetBulbC: wetBulbC(temperatureC, relativeHumidityPct, pressureKPa),
    absoluteHumidityGPerM3: absoluteHumidityGPerM3(temperatureC, relativeHumidityPct),
  }
}

/**
 * Humidity of the same air, no water added or taken, at another temperature, %; 100 where some of it condenses.
 * @param fromC °C @param relativeHumidityPct % @param toC °C
 * @example humidityAfter(10, 80, 20) // 42
 */
export const humidityAfter = (fromC: number, relativeHumidityPct: number, toC: number): number =>
  Math.min(100, (100 * vapourPressureKPa(fromC, relativeHumidityPct)) / saturationVapourPressureKPa(toC))

/**
 * Whether something cold sweats when it is carried into a room: its skin lies below the room's dew point.
 * @param surfaceC °C of the crop's skin
 */
export const sweats = (surfaceC: number, roomC: number, roomHumidityPct: number): boolean =>
  roomHumidityPct > 0 && surfaceC < dewPointC(roomC, roomHumidityPct)
