import type { WrittenCase } from './case.ts';

const outboard = { group: 'outboard', hasValve: true } as const;
const bank = { group: 'motorcycle', hasValve: false } as const;
const saloon = { group: 'multi-bank', hasValve: true } as const;

/** The launch, the motorcycles and the hotel saloon. */
export const OTHER_CASES: readonly WrittenCase[] = [
  {
    id: 'launch-warped',
    title: 'Harbour launch trolls too fast',
    subject: outboard,
    truth: 'warped',
    says: 'Trolling speed up.',
    codes: [],
    asked: ['temperature=warm'],
    finds: { 'light-gap': 'uneven', flatness: 'warped', 'idle-speed': 'high', 'valve-duty': 'low' },
  },
  {
    id: 'launch-stepper',
    title: 'Harbour launch clicks',
    subject: outboard,
    truth: 'valve-stuck',
    says: 'Stalls coming to the pontoon.',
    codes: [],
    asked: ['stands=yes'],
    finds: { 'valve-moves': 'clicks', 'idle-speed': 'low' },
  },
  {
    id: 'launch-plug',
    title: 'Launch with green pins',
    subject: outboard,
    truth: 'pigtail',
    says: 'Now and then it loses power.',
    codes: [],
    asked: ['wet=yes'],
    finds: { 'plug-pins': 'bad', wiggle: 'reacts' },
  },
  {
    id: 'sule900-balance',
    title: 'Four-cylinder motorcycle shakes',
    subject: bank,
    truth: 'sync',
    says: 'Vibrates at idle and jerks when pulling away.',
    codes: [],
    asked: [],
    finds: { 'bank-balance': 'out' },
  },
  {
    id: 'sule650-boot',
    title: 'Twin with a folded boot',
    subject: bank,
    truth: 'flange-leak',
    says: 'Hunts and idles high since the service.',
    codes: [],
    asked: [],
    finds: { 'boot-look': 'folded', 'smoke-test': 'flange', 'leak-by-ear': 'changed' },
  },
  {
    id: 'sule650-grip',
    title: 'Nurse’s motorcycle revs hang',
    subject: bank,
    truth: 'cable',
    says: 'Idle is too high.',
    codes: [],
    asked: [],
    finds: { 'cable-play': 'tight', 'closed-volts': 'high' },
  },
  {
    id: 'regent-actuator',
    title: 'Hotel saloon with a worn actuator',
    subject: saloon,
    truth: 'gears',
    says: 'Hesitates, and there was limp mode once.',
    codes: ['P0638'],
    asked: [],
    finds: { 'key-on-sweep': 'jumps', 'gear-look': 'worn' },
  },
  {
    id: 'regent-idle',
    title: 'Hotel saloon hunts on one bank',
    subject: saloon,
    truth: 'valve-stuck',
    says: 'Nearly stalls with the air conditioning on.',
    codes: ['P0171'],
    asked: [],
    finds: { 'valve-moves': 'clicks', 'valve-duty': 'high', 'idle-speed': 'low' },
  },
];
