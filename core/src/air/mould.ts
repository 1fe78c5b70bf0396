/**
 * Relative humidity above which mould can start, %.
 * @param temperatureC air temperature, °C; fitted between 0 and 50 °C
 * @source Hukka & Viitanen 1999, eq. 2 (wood surfaces; used here as a stand-in for skins and husks)
 */
export const criticalHumidityPct = (temperatureC: number): number =>
  temperatureC > 20 ? 80 : -0.00267 * temperatureC ** 3 + 0.16 * temperatureC ** 2 - 3.13 * temperatureC + 100

/** Whether mould can grow in this air: the model says nothing below 0 °C, where it does not. */
export const mouldCanStart = (temperatureC: number, relativeHumidityPct: number): boolean =>
  temperatureC > 0 && temperatureC < 50 && relativeHumidityPct > criticalHumidityPct(temperatureC)
