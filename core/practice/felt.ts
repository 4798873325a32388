import { CHECKS } from './checks.ts';
import type { PracticeVehicle } from './vehicle.ts';

/**
 * What a hand feels, an ear hears and a screen says at checks without a picture, by how they come out. The words tell what
 * happens, never which answer of the check that is.
 */
const FELT: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'leak-by-ear': {
    changed: 'Along the joints the note falls at one place, and picks up again once the spray is gone. Twice.',
    none: 'Hose by hose and round every joint: the note stays where it is.',
  },
  'smoke-test': {
    hose: 'A thin thread of smoke stands up from the side of a hose.',
    flange: 'Smoke creeps out between the body and the manifold.',
    none: 'The gauge fills and stands. Ten minutes, and nothing curls anywhere.',
  },
  'pcv-shake': { silent: 'Shaken at the ear, both ways up: not a sound.', rattles: 'Shaken at the ear, it ticks.' },
  'pcv-pinch': {
    settles: 'Hose pinched: within two seconds the needle comes down and stands.',
    none: 'Hose pinched: the needle goes on as it did.',
  },
  'purge-pinch': {
    settles: 'Hose pinched: within two seconds the needle comes down and stands.',
    none: 'Hose pinched: the needle goes on as it did.',
  },
  'plate-by-hand': {
    sticks: 'It wants a push out of its rest, then runs lightly.',
    sandy: 'It grates on the way, and a finger has to help it home.',
    free: 'It moves lightly and claps home by itself.',
  },
  'stop-screw': {
    moved: 'Paint is broken across the lock-nut; the two halves do not meet.',
    sealed: 'Paint runs unbroken over screw and nut.',
  },
  variant: {
    differs: 'Beside the drawing: another mark, and the port is wider or narrower by some millimetres.',
    same: 'Beside the drawing: port, holes, pins and mark agree one by one.',
  },
  'plugs-look': {
    worn: 'One plug is black and its edges are round; the others are grey.',
    good: 'All are the same grey, edges sharp.',
  },
  connections: {
    off: 'Behind the body a plug hangs free, its seat empty.',
    swapped: 'Two plugs of one form: the colours of the wires do not go with their sockets.',
    right: 'Every plug clicks when pressed; every post wears its hose.',
  },
  'plug-fit': {
    wet: 'Drops run out when the plug is drawn.',
    loose: 'The plug rocks on its pins.',
    firm: 'Dry, and it takes two fingers to draw it.',
  },
  'reaches-stop': {
    short: 'Let go, the lever comes to rest a hair off its screw.',
    yes: 'Let go, the lever lies on its screw; paper is held.',
  },
  'fast-idle-look': {
    stuck: 'Ten minutes of warmth, and the lever has not moved.',
    right: 'As it warms, the lever draws back bit by bit.',
  },
  'coolant-level': {
    low: 'In the tank the level stands a thumb below the lower line.',
    air: 'Bubbles rise in the tank, and the air of the heater is cool.',
    right: 'The level stands between the lines. Nothing rises.',
  },
  'oil-source': {
    breather: 'Where the small hose from the rocker cover joins, it is wet and drips; before that the duct is dry.',
    turbo: 'Oil stands in the pipe from the turbocharger.',
    filter: 'The filter feels oily, and the film begins right behind it.',
    dry: 'A white cloth stays white.',
  },
  'valve-idling': {
    heard: 'A screwdriver at the ear: it knocks, several times a second.',
    silent: 'A screwdriver at the ear: nothing at all.',
    soft: 'A screwdriver at the ear: it hums.',
  },
  'tracks-running': {
    differ: 'On the screen one line drops for a blink while the other runs on.',
    same: 'On the screen both lines run side by side.',
  },
  'learn-status': {
    'not-learned': 'The tester shows: adaptation 0 of 1.',
    learned: 'The tester shows: adaptation 1 of 1.',
  },
  'actuator-test': {
    'no-drive': 'Told to move: the test lamp at the plug stays dark.',
    'driven-still': 'Told to move: the test lamp at the plug flickers, and everything stands.',
    moves: 'Told to move: lamp flickers, and it goes there and back.',
  },
  'misfire-count': {
    one: 'After five minutes: 0, 41, 0, 0.',
    several: 'After five minutes: 12, 17, 9, 14.',
    none: 'After five minutes: 0, 0, 0, 0.',
  },
  'other-modules': {
    fault: 'Asked one by one: brakes answer with a code of their own.',
    none: 'Asked one by one: each answers, none has anything stored.',
  },
  'exhaust-back': {
    restricted: 'At 2500 rpm the gauge climbs past 20 kPa, and goes on.',
    free: 'At 2500 rpm the gauge stands at 3 kPa.',
  },
  cylinders: {
    one: 'Each plug drawn in turn: 60, 70, 5, 65 rpm less.',
    even: 'Each plug drawn in turn: 60, 65, 70, 65 rpm less.',
  },
  'egr-blank': {
    better: 'With the blanking plate in, it runs like another engine.',
    same: 'With the blanking plate in, no difference.',
  },
  'key-on-sweep': {
    jumps: 'Pedal down slowly: the plate follows, stands, and leaps after.',
    short: 'Pedal to the floor: the plate stays well before its end.',
    smooth: 'Pedal down and up: the plate goes with the foot.',
  },
  'valve-moves': {
    clicks: 'Key on: tick, tick, tick. A finger on it feels no turn.',
    dead: 'Key on: no sound, no stir.',
    moves: 'Key on: one turn is felt, then it rests.',
  },
  'sweep-dropouts': {
    dropouts: 'On the way the needle falls for a blink, always at the same place.',
    smooth: 'From end to end the needle climbs without a step.',
  },
  wiggle: {
    reacts: 'The loom bent near the plug: the value leaps, and the engine coughs.',
    steady: 'The loom bent everywhere, plug pressed and pulled: nothing.',
  },
  'sensor-set': { off: 'The scribed line and the mark are two millimetres apart.', right: 'Scribed line on mark.' },
  'valve-turns': {
    stuck: 'Two fingers do not turn it.',
    stiff: 'It turns with force, and comes freer each time.',
    free: 'It spins under a finger and falls back.',
  },
  'relearn-trial': {
    cured: 'Relearned and driven a round: the needle stands, lights on or off.',
    same: 'Relearned and driven a round: as before.',
  },
};

/** What is felt, heard or read at a check; null where a picture or a figure shows it. */
export const felt = (vehicle: PracticeVehicle, sign: string): string | null =>
  FELT[sign]?.[CHECKS[sign]?.(vehicle) ?? ''] ?? null;

/** Checks that are met in words, with the answers that there are words for. */
export const FELT_ANSWERS: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  Object.entries(FELT).map(([sign, words]) => [sign, Object.keys(words)]),
);
