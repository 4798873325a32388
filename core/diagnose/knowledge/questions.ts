import type { Sign } from '../types.ts';
import { asked, outcome } from './build.ts';

const yes = (found: string, ...phrases: string[]) => outcome(`yes|Yes|${found}`, ...phrases);
const no = (found: string) => outcome(`no|No|${found}`);

/** What is noticed. Phrases are word stems; a star in between lets a word or two pass. */
export const SYMPTOMS: readonly Sign[] = [
  asked('symptom', 'hunting', 'Hunting idle', 'Does the idle swing up and down by itself?', [
    yes('idle hunts', 'hunt', 'up and down', 'surg', 'swing', 'goes up * down', 'rises and falls', 'saw'),
    no('idle does not hunt'),
  ], { yes: 'seldom' }),
  asked('symptom', 'stalls', 'Stalls when coming to rest', 'Does it stall when it comes to rest?', [
    yes('stalls coming to rest', 'stall', 'cuts out', 'cut out', 'dies', 'died', 'went out', 'goes out', 'goes off', 'dips at', 'stops at'),
    no('does not stall'),
  ], { yes: 'seldom' }),
  asked('symptom', 'idle-high', 'Idle too high', 'Is the idle, or trolling speed, too high?', [
    yes('idle too high', 'idle * high', 'high idle', 'high at idle', 'idles high', 'idles fast', 'trolls too fast', 'trolling speed', 'too fast', 'revs too high', 'races', 'idles at two thousand'),
    no('idle not too high'),
  ], { yes: 'seldom' }),
  asked('symptom', 'idle-low', 'Idle too low', 'Is the idle too low?', [
    yes('idle too low', 'idle * low', 'low idle', 'idles low', 'too slow', 'barely idles', 'nearly dies', 'needs the pedal', 'needs throttle to stay'),
    no('idle not too low'),
  ], { yes: 'seldom' }),
  asked('symptom', 'rough', 'Rough at lights', 'Does it shake or run rough at idle?', [
    yes('rough at idle', 'rough', 'shak', 'vibrat', 'lumpy', 'uneven', 'shudder'),
    no('smooth at idle'),
  ], { yes: 'sometimes' }),
  asked('symptom', 'response', 'Poor response', 'Is it slow or flat when the pedal goes down?', [
    yes('poor response', 'poor response', 'flat', 'hesitat', 'no power', 'weak', 'sluggish', 'lazy', 'slow to respond', 'does not pull', 'bogs'),
    no('pulls as it should'),
  ], { yes: 'seldom' }),
  asked('symptom', 'snatch', 'Snatches when pulling away', 'Does it snatch or jerk just off idle?', [
    yes('snatches off idle', 'snatch', 'jerk', 'kangaroo', 'jumps when', 'lurch'),
    no('pulls away smoothly'),
  ], { yes: 'seldom' }),
  asked('symptom', 'limp', 'Limp mode', 'Has it gone into limp mode?', [
    yes('limp mode', 'limp', 'emergency running', 'power limited', 'will not rev', 'reduced power'),
    no('no limp mode'),
  ], { yes: 'seldom' }),
  asked('symptom', 'clicking', 'Clicking from the valve, key on', 'Does the valve click or buzz on with the key on?', [
    yes('valve clicks, key on', 'click', 'buzz', 'tick from the valve', 'chatter'),
    no('valve quiet, key on'),
  ], { yes: 'never' }, { needsValve: true }),
  asked('symptom', 'whistle', 'Whistle or hiss', 'Can a whistle or hiss be heard round the intake?', [
    yes('whistle or hiss', 'whistl', 'hiss', 'suck noise', 'sucking', 'air noise'),
    no('no hiss'),
  ], { yes: 'never' }),
  asked('symptom', 'hangs', 'Revs hang', 'Do the revs hang when the pedal is let go?', [
    yes('revs hang', 'hang', 'slow to fall', 'slow to come down', 'revs stay up', 'takes * come down', 'sticks open'),
    no('revs fall at once'),
  ], { yes: 'seldom' }),
  asked('symptom', 'sticky-pedal', 'Pedal sticks at first', 'Does the pedal or grip stick at the start of its travel?', [
    yes('pedal sticks at first', 'sticky pedal', 'pedal stick', 'grip stick', 'throttle stick', 'stiff pedal', 'stiff throttle'),
    no('pedal moves freely'),
  ], { yes: 'never' }),
  asked('symptom', 'hard-start', 'Hard to start', 'Is it hard to start, or does it need the pedal to start?', [
    yes('hard to start', 'hard to start', 'hard start', 'will not start', 'long crank', 'needs pedal to start', 'starts badly'),
    no('starts well'),
  ], { yes: 'seldom' }),
  asked('symptom', 'smoke', 'Black smoke', 'Is there black smoke or soot?', [
    yes('black smoke', 'black smoke', 'smok', 'soot'),
    no('no smoke'),
  ], { yes: 'never' }),
];

/** When it happens. */
export const CIRCUMSTANCES: readonly Sign[] = [
  asked('circumstance', 'temperature', 'Cold or warm', 'Is it worse cold, worse warm, or the same?', [
    outcome('cold|Worse cold|worse cold', 'cold', 'first start', 'in the morning', 'mornings'),
    outcome('warm|Worse warm|worse warm', 'when warm', 'when hot', 'once warm', 'worse warm', 'worse hot', 'warmed up', 'after a run'),
    outcome('same|The same|the same cold and warm'),
  ], { cold: 'sometimes', warm: 'sometimes' }),
  asked('circumstance', 'load', 'Load on', 'Is it worse with lights, steering or cooling on?', [
    yes('worse with load on', 'lights on', 'with * lights', 'air conditioning', 'steering', 'heater on', 'load on', 'in gear'),
    no('load makes no difference'),
  ], { yes: 'sometimes' }),
  asked('circumstance', 'onset', 'How it came', 'Did it come all at once?', [
    outcome('sudden|All at once|came all at once', 'suddenly', 'all at once', 'from one day', 'overnight', 'this morning'),
    outcome('gradual|Slowly|came slowly', 'slowly', 'gradual', 'bit by bit', 'over months', 'worse and worse', 'getting worse', 'for a while'),
  ], { sudden: 'sometimes' }),
  asked('circumstance', 'comes-and-goes', 'Comes and goes', 'Does it come and go?', [
    yes('comes and goes', 'comes and goes', 'sometimes', 'now and then', 'intermittent', 'at times', 'on and off', 'some days'),
    no('always there'),
  ], { yes: 'sometimes' }),
  asked('circumstance', 'wet', 'Wet weather', 'Is it worse in rain, spray or damp?', [
    yes('worse in the wet', 'rain', 'wet', 'damp', 'spray', 'after a wash', 'puddle'),
    no('weather makes no difference'),
  ], { yes: 'seldom' }),
];

/** What was done before. */
export const HISTORY: readonly Sign[] = [
  asked('history', 'battery', 'Battery work', 'Was the battery changed, flat or disconnected before it began?', [
    yes('battery work before it began', 'battery', 'jump start', 'jump-start', 'flat batter'),
    no('no battery work'),
  ], { yes: 'seldom' }),
  asked('history', 'cleaned', 'Throttle cleaned lately', 'Was the throttle or valve cleaned shortly before?', [
    yes('cleaned shortly before', 'cleaned', 'sprayed', 'throttle clean'),
    no('not cleaned lately'),
  ], { yes: 'seldom' }),
  asked('history', 'unit-changed', 'Unit replaced', 'Was the throttle body or valve replaced before it began?', [
    yes('unit replaced before it began', 'scrapyard', 'breaker', 'used throttle', 'another throttle', 'new throttle', 'new valve', 'replaced the throttle', 'replaced the valve', 'throttle * replaced', 'valve * replaced', 'used valve', 'second-hand', 'body replaced', 'unit replaced'),
    no('unit not replaced'),
  ], { yes: 'never' }),
  asked('history', 'intake-work', 'Work on the intake', 'Was there other work at the intake: filter, duct, hoses, plugs?', [
    yes('work on the intake before', 'air filter', 'filter changed', 'new filter', 'service', 'duct off', 'intake off', 'after work', 'plugs changed', 'belt changed', 'worked on'),
    no('no work on the intake'),
  ], { yes: 'seldom' }),
  asked('history', 'stands', 'Stands a lot', 'Does it stand a lot, or make only short trips?', [
    yes('stands a lot, short trips', 'short trips', 'stands', 'stood', 'laid up', 'winter', 'not used', 'once a week'),
    no('in daily use'),
  ], { yes: 'sometimes' }),
  asked('history', 'overheated', 'Overheated', 'Has the engine overheated?', [
    yes('has overheated', 'overheat', 'boiled', 'ran hot', 'lost coolant'),
    no('never overheated'),
  ], { yes: 'never' }),
  asked('history', 'mileage', 'Since it was last cleaned', 'Is it more than 80 000 km, or 300 h, since the throttle was last cleaned?', [
    yes('long since last cleaned', 'never been cleaned', 'never cleaned', 'high mileage', 'years since', 'never touched'),
    no('cleaned within that'),
  ], { yes: 'often' }),
];
