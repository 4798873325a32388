import { pitchDiameter, type Thread } from './thread.ts';

/**
 * Limits of general purpose metric threads, 6g on the bolt and 6H in the nut, ISO 965-1:2013: fundamental deviation g
 * and tolerance of the major diameter by pitch (tables 1 and 4), tolerance of the nut's pitch diameter by diameter and
 * pitch (table 2), µm.
 */
const DEVIATION_G: Readonly<Record<number, number>> = {
  0.35: 19,
  0.4: 19,
  0.45: 20,
  0.5: 20,
  0.6: 21,
  0.7: 22,
  0.75: 22,
  0.8: 24,
  1: 26,
  1.25: 28,
  1.5: 32,
  1.75: 34,
  2: 38,
  2.5: 42,
  3: 48,
};
const MAJOR_6: Readonly<Record<number, number>> = {
  0.35: 85,
  0.4: 95,
  0.45: 100,
  0.5: 106,
  0.6: 125,
  0.7: 140,
  0.75: 140,
  0.8: 150,
  1: 180,
  1.25: 212,
  1.5: 236,
  1.75: 265,
  2: 280,
  2.5: 335,
  3: 375,
};
/** Diameters over the first and up to and including the second, mm, with their tolerances by pitch. */
const NUT_PITCH_6: readonly (readonly [over: number, upTo: number, byPitch: Readonly<Record<number, number>>])[] = [
  [1.4, 2.8, { 0.35: 85, 0.4: 90, 0.45: 95 }],
  [2.8, 5.6, { 0.35: 90, 0.5: 100, 0.6: 112, 0.7: 118, 0.75: 118, 0.8: 125 }],
  [5.6, 11.2, { 0.75: 132, 1: 150, 1.25: 160, 1.5: 180 }],
  [11.2, 22.4, { 1: 160, 1.25: 180, 1.5: 190, 1.75: 200, 2: 212, 2.5: 224 }],
  [22.4, 45, { 1: 170, 1.5: 200, 2: 224, 3: 265 }],
];

/** Tolerance grade 6 by the formulas of ISO 965-1, annex A, where its tables have no such thread, µm. */
const majorBy = (pitch: number): number => 180 * pitch ** (2 / 3) - 3.15 / Math.sqrt(pitch);
const nutPitchBy = (diameter: number, pitch: number): number => 1.32 * 90 * pitch ** 0.4 * diameter ** 0.1;
const deviationBy = (pitch: number): number => 15 + 11 * pitch;

/** The smallest major diameter of a bolt thread, class 6g, mm. */
export function smallestMajor({ diameter, pitch }: Thread): number {
  const below = (DEVIATION_G[pitch] ?? deviationBy(pitch)) + (MAJOR_6[pitch] ?? majorBy(pitch));
  return diameter - below / 1000;
}

/** The largest pitch diameter of a nut thread, class 6H, mm. */
export function largestPitch(thread: Thread): number {
  const { diameter, pitch } = thread;
  const range = NUT_PITCH_6.find(([over, upTo]) => diameter > over && diameter <= upTo);
  return pitchDiameter(thread) + (range?.[2][pitch] ?? nutPitchBy(diameter, pitch)) / 1000;
}
