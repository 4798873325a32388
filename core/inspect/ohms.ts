/** Temperature coefficient of copper at 20 °C, 1/K (IEC 60028). */
export const COPPER_PER_K = 0.00393;

/**
 * Coil resistance at 20 °C from what was measured at another temperature: R₂₀ = R / (1 + α(t − 20)).
 * @param ohms measured, more than zero
 * @param celsius of the coil, −40 to 180
 * @throws RangeError outside these
 * @example coilAt20(13.1, 84) // about 10.5 Ω: a warm coil that reads high may be right
 */
export function coilAt20(ohms: number, celsius: number): number {
  if (!(ohms > 0)) throw new RangeError(`Expected more than 0 Ω, got ${ohms}.`);
  if (!(celsius >= -40 && celsius <= 180)) throw new RangeError(`Expected −40 to 180 °C, got ${celsius}.`);
  return ohms / (1 + COPPER_PER_K * (celsius - 20));
}
