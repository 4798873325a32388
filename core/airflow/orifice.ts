/**
 * Air through small openings, as an isentropic orifice (Heywood, *Internal Combustion Engine Fundamentals*, 1988,
 * appendix C): ṁ = C_D·A·p₀/√(R·T₀)·Ψ(p/p₀). Areas here are effective ones, C_D·A.
 */

/** Specific gas constant of dry air, J/(kg·K). */
export const AIR_R = 287.05;
/** Ratio of the specific heats of air. */
const GAMMA = 1.4;
/** Pressure ratio below which the flow is choked: (2/(γ+1))^(γ/(γ−1)). */
export const CHOKED = (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1));
const CHOKED_FLOW = Math.sqrt(GAMMA) * (2 / (GAMMA + 1)) ** ((GAMMA + 1) / (2 * (GAMMA - 1)));

/**
 * The flow function Ψ of the pressure ratio.
 * @param ratio downstream over upstream pressure, 0 to 1; above 1 nothing flows forwards
 * @returns 0 to 0.685, without unit
 */
export function flowFunction(ratio: number): number {
  if (ratio >= 1) return 0;
  if (ratio <= CHOKED) return CHOKED_FLOW;
  return ratio ** (1 / GAMMA) * Math.sqrt(((2 * GAMMA) / (GAMMA - 1)) * (1 - ratio ** ((GAMMA - 1) / GAMMA)));
}

/** Pressures and temperature at an opening. */
export interface Across {
  /** Absolute pressure before it, kPa. */
  readonly upstreamKPa: number;
  /** Absolute pressure behind it, kPa. */
  readonly downstreamKPa: number;
  /** Temperature of the air before it, °C. */
  readonly upstreamC: number;
}

const KELVIN = 273.15;

/** Grams a second through one square millimetre of effective area. */
export const flowPerMm2 = ({ upstreamKPa, downstreamKPa, upstreamC }: Across): number =>
  (upstreamKPa * flowFunction(downstreamKPa / upstreamKPa)) / Math.sqrt(AIR_R * (upstreamC + KELVIN));

/**
 * The air that an opening lets through.
 * @param areaMm2 effective area, mm², zero or more
 * @returns g/s
 */
export const massFlow = (areaMm2: number, across: Across): number => areaMm2 * flowPerMm2(across);

/**
 * The effective area that lets so much air through.
 * @param gramsPerSecond zero or more
 * @returns mm²; null where nothing can flow, the pressures being equal
 * @example at 101.3 kPa, 20 °C and choked, 1 g/s is 4.18 mm²
 */
export function effectiveArea(gramsPerSecond: number, across: Across): number | null {
  const each = flowPerMm2(across);
  return each > 0 ? gramsPerSecond / each : null;
}

/** What the cylinders of a four-stroke draw. */
export interface Draw {
  readonly rpm: number;
  readonly displacementL: number;
  /** Absolute pressure in the manifold, kPa. */
  readonly manifoldKPa: number;
  /** Temperature of the air in the manifold, °C. */
  readonly manifoldC: number;
  /** Air that is drawn, as a share of what the displacement holds at manifold pressure. */
  readonly volumetricEfficiency: number;
}

/**
 * Speed-density: ṁ = η_v·p·V_d·N/(120·R·T).
 * @returns g/s
 */
export const cylinderFlow = ({ rpm, displacementL, manifoldKPa, manifoldC, volumetricEfficiency }: Draw): number =>
  (volumetricEfficiency * manifoldKPa * displacementL * rpm * 1000) / (120 * AIR_R * (manifoldC + KELVIN));

/**
 * What a round plate lets past at an angle, by geometry: A(θ) = π/4·D²·(1 − cos θ / cos θ₀), less the shaft.
 * @param boreMm bore, mm @param angleDeg angle of the plate from square to the bore, ° @param closedDeg the angle at
 * which it closes, ° @param shaftMm diameter of the shaft, mm; 0 where it is none of the matter
 * @returns mm², zero at and below the closed angle
 */
export function plateArea(boreMm: number, angleDeg: number, closedDeg: number, shaftMm = 0): number {
  if (angleDeg <= closedDeg) return 0;
  const rad = Math.PI / 180;
  const open = (Math.PI / 4) * boreMm ** 2 * (1 - Math.cos(angleDeg * rad) / Math.cos(closedDeg * rad));
  const shaft = shaftMm * boreMm * (1 - Math.cos((angleDeg - closedDeg) * rad));
  return Math.max(0, open - shaft);
}
