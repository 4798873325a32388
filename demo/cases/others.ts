import { type WrittenCase, written as c } from './written.ts';

/** The launch, the motorcycles and the hotel saloon. */
export const OTHER_CASES: readonly WrittenCase[] = [
  c('launch-warped', 'outboard', 'warped', 'Harbour launch trolls too fast', {
    says: 'Trolling speed up.',
    codes: 'read',
    asked: 'temperature=warm',
    finds: 'light-gap=uneven flatness=warped idle-speed=high valve-duty=low',
    first: 'replace replace-rebuilt replace-used',
  }),
  c('launch-stepper', 'outboard', 'valve-stuck', 'Harbour launch clicks', {
    says: 'Stalls coming to the pontoon.',
    codes: 'read',
    asked: 'stands=yes',
    finds: 'valve-moves=clicks idle-speed=low',
    first: 'clean-bench clean-in-place',
  }),
  c('launch-plug', 'outboard', 'pigtail', 'Launch with green pins', {
    says: 'Now and then it loses power.',
    codes: 'read',
    asked: 'wet=yes',
    finds: 'plug-pins=bad wiggle=reacts',
    first: 'elsewhere',
  }),
  c('sule900-balance', 'bank of four', 'sync', 'Four-cylinder motorcycle shakes', {
    says: 'Vibrates at idle and jerks when pulling away.',
    codes: 'read',
    finds: 'bank-balance=out',
    first: 'adjust',
  }),
  c('sule650-boot', 'one body', 'flange-leak', 'Twin with a folded boot', {
    says: 'Hunts and idles high since the service.',
    codes: 'read',
    finds: 'boot-look=folded smoke-test=flange leak-by-ear=changed',
    first: 'rebuild clean-bench',
  }),
  c('sule650-grip', 'one body', 'cable', 'Nurse’s motorcycle revs hang', {
    says: 'Idle is too high.',
    codes: 'read',
    finds: 'cable-play=tight closed-volts=high',
    first: 'adjust',
  }),
  c('regent-actuator', 'four actuators', 'gears', 'Hotel saloon with a worn actuator', {
    says: 'Hesitates, and there was limp mode once.',
    codes: 'P0638 stored',
    finds: 'key-on-sweep=jumps gear-look=worn',
    first: 'replace replace-rebuilt replace-used rebuild',
  }),
  c('regent-idle', 'four actuators', 'valve-stuck', 'Hotel saloon hunts on one bank', {
    says: 'Nearly stalls with the air conditioning on.',
    codes: 'P0171 stored',
    finds: 'valve-moves=clicks valve-duty=high idle-speed=low',
    first: 'clean-bench clean-in-place',
  }),
];
