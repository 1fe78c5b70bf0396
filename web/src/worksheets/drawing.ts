/** What a worksheet's result is drawn as: plain data, so that it can be made in the worker and shown as a table. */
export type Quantity = 'temperatureC' | 'weightG' | 'kg' | 'plain'

export interface Axis {
  label: string
  /** unit for plain quantities */
  unit?: string
  quantity?: Quantity
  min?: number
  max?: number
}

export interface PlotDrawing {
  kind: 'plot'
  x: Axis
  y: Axis
  lines: { label: string; points: [number, number][]; dashed?: boolean }[]
  bands?: { label: string; points: [number, number, number][] }[]
  dots?: { x: number; y: number; label?: string }[]
  /** upright or level lines with a name */
  rules?: { x?: number; y?: number; label: string }[]
}

export interface BarsDrawing {
  kind: 'bars'
  axis: Axis
  bars: { label: string; parts: { label: string; value: number; hatched?: boolean }[]; says: string }[]
}

export interface PlaneDrawing {
  kind: 'plane'
  x: Axis
  y: Axis
  /** columns of x, rows of y, values in days */
  xs: number[]
  ys: number[]
  values: number[][]
  at: { x: number; y: number; label: string }
}

export interface SpansDrawing {
  kind: 'spans'
  axis: Axis
  rows: { label: string; from: number; to: number; mid?: number; hatched?: boolean; says: string }[]
}

export type Drawing = PlotDrawing | BarsDrawing | PlaneDrawing | SpansDrawing
