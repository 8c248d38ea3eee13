/** How a fact is asked: label, unit, what it may be, and where it begins until somebody knows better (common practice, or the template's own). */
export interface FactWords {
  readonly label: string;
  readonly unit: string;
  readonly from: number;
  readonly to: number;
  readonly usual: number;
  /** Typed in the degrees shown, kept in °C. */
  readonly temperature?: true;
  /** 1 or 0, asked as a tick. */
  readonly tick?: true;
}

/** What is measured or known on site for the tools of one kind of job. */
export const toolFactWords = {
  coilRows: { label: 'Coil, rows seen', unit: '', from: 1, to: 12, usual: 4 },
  coilColumns: { label: 'Columns seen', unit: '', from: 1, to: 16, usual: 6 },
  sensorRow: { label: 'Sensor now, row', unit: '', from: 1, to: 12, usual: 1 },
  sensorColumn: { label: 'Sensor now, column', unit: '', from: 1, to: 16, usual: 1 },

  humidityLow: { label: 'Humidity wanted, from', unit: '%', from: 40, to: 99, usual: 80 },
  humidityHigh: { label: 'to', unit: '%', from: 41, to: 100, usual: 88 },
  roomHumidity: { label: 'Humidity around', unit: '%', from: 5, to: 100, usual: 60 },
  trayLitres: { label: 'Drain tray holds', unit: 'l', from: 0.2, to: 200, usual: 4 },
  hoursToHelp: { label: 'Somebody comes within', unit: 'h', from: 0.5, to: 168, usual: 14 },

  batteryAmpHours: { label: 'Battery', unit: 'Ah', from: 5, to: 2000, usual: 100 },
  batteryUsable: { label: 'Of it usable', unit: '%', from: 10, to: 100, usual: 50 },
  chargePerDay: { label: 'Charged a day', unit: 'Ah', from: 0, to: 2000, usual: 0 },
  fridgeInsulation: { label: 'Insulation, share of new', unit: '', from: 0.2, to: 3, usual: 1 },

  waterLitres: { label: 'Water', unit: 'l', from: 20, to: 50000, usual: 400 },
  salinity: { label: 'Salt', unit: 'g/kg', from: 0, to: 42, usual: 0 },
  tankInsulation: { label: 'Walls let through', unit: 'W/m²K', from: 0.1, to: 10, usual: 0.8 },
  chillerWatts: { label: 'Chiller', unit: 'W', from: 50, to: 50000, usual: 900 },
  chillerArea: { label: 'Its cold surface', unit: 'm²', from: 0.02, to: 50, usual: 0.5 },
  heaterWatts: { label: 'Heater', unit: 'W', from: 0, to: 20000, usual: 300 },
  pumpWatts: { label: 'Pump', unit: 'W', from: 0, to: 5000, usual: 30 },
  roomAir: { label: 'Air around', unit: '°C', from: -20, to: 50, usual: 20, temperature: true },

  glassConductance: { label: 'Glass lets through', unit: 'W/m²K', from: 0.6, to: 6, usual: 2.8 },
  glassHeater: { label: 'Glass heater', unit: 'W/m²', from: 0, to: 400, usual: 0 },
  setbackFrom: { label: 'Shut from', unit: 'h', from: 0, to: 23, usual: 20 },
  setbackTo: { label: 'until', unit: 'h', from: 0, to: 23, usual: 6 },

  rackRest: { label: 'Off time the rack keeps itself', unit: 'min', from: 0, to: 30, usual: 5 },

  meterFlow: { label: 'Flow', unit: 'm³/h', from: 0.001, to: 1000, usual: 1.2 },
  supplyReads: { label: 'Supply, raw', unit: '°C', from: -20, to: 150, usual: 64, temperature: true },
  returnReads: { label: 'Return, raw', unit: '°C', from: -20, to: 150, usual: 46, temperature: true },
  meterInReturn: { label: 'Flow meter in the return', unit: '', from: 0, to: 1, usual: 1, tick: true },
} as const satisfies Readonly<Record<string, FactWords>>;

export type ToolFactId = keyof typeof toolFactWords;
export const toolFactIds = Object.keys(toolFactWords) as readonly ToolFactId[];
export type ToolFacts = Readonly<Record<ToolFactId, number>>;

/** Every fact where nobody has said anything. */
export const usualToolFacts = Object.fromEntries(
  toolFactIds.map((id) => [id, toolFactWords[id].usual]),
) as ToolFacts;
