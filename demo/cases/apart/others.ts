import { type WrittenCase, written as c } from '../written.ts';

/** Set apart: engines with several units, motorcycles, outboards. */
export const APART_OTHERS: readonly WrittenCase[] = [
  c('a-098', 'four actuators', 'gears@throttle-actuator:left', 'Hotel saloon hesitates on one side', {
    says: 'Hesitates and goes into limp mode, mostly warm.',
    codes: 'P0638 stored',
    finds:
      'gear-look@throttle-actuator:left=worn gear-look@throttle-actuator:right=good key-on-sweep@throttle-actuator:left=jumps',
    first: 'replace replace-rebuilt replace-used rebuild',
  }),
  c('a-099', 'four actuators', 'gears@idle-actuator:right', 'Limousine hunts on the right bank', {
    says: 'Idle hunts and it shakes, since months.',
    codes: 'P0505 stored, P0174 stored',
    finds:
      'gear-look@idle-actuator:right=worn gear-look@idle-actuator:left=good valve-turns@idle-actuator:right=stuck bank-balance=out',
    first: 'replace replace-rebuilt replace-used rebuild',
  }),
  c('a-100', 'four actuators', 'wrong-variant@throttle-actuator:right', 'One side from another market', {
    says: 'They put a used actuator on the right and it has never been smooth.',
    codes: 'P0639 stored, P2119 stored',
    finds:
      'variant@throttle-actuator:right=differs variant@throttle-actuator:left=same gear-look@throttle-actuator:right=good',
    first: 'replace replace-rebuilt replace-used',
  }),
  c('a-101', 'body a bank', 'deposit@throttle-body:left', 'Cruiser rough on one bank', {
    says: 'Rough idle, dips in drive.',
    codes: 'P0506 stored',
    finds:
      'duct-off-look@throttle-body:left=ring duct-off-look@throttle-body:right=clean light-gap@throttle-body:left=blocked light-gap@throttle-body:right=even bank-balance=out',
    first: 'clean-bench clean-in-place',
  }),
  c('a-102', 'body a bank', 'flange-leak@throttle-body:right', 'Coupe that whistles on the right', {
    says: 'Whistles and idles high since both bodies were off.',
    codes: 'P0174 stored',
    asked: 'gasket-reused=yes',
    finds:
      'boot-look@throttle-body:right=folded boot-look@throttle-body:left=good smoke-test@throttle-body:right=flange trims=lean-idle',
    first: 'rebuild clean-bench',
  }),
  c('a-103', 'four actuators', 'valve-stuck@idle-actuator:left', 'Hotel saloon nearly dies in reverse', {
    says: 'Nearly stalls when I put it in gear with the cooling on.',
    codes: 'P0506 stored',
    finds:
      'valve-turns@idle-actuator:left=stuck valve-turns@idle-actuator:right=free valve-deposit@idle-actuator:left=heavy gear-look@idle-actuator:left=good',
    first: 'clean-bench',
  }),
  c('a-104', 'one body', 'valve-stuck', 'Commuter single that dies at lights', {
    says: 'Dies at the traffic lights when warm, starts again straight away.',
    codes: 'read',
    finds: 'valve-moves=clicks valve-turns=stiff valve-deposit=heavy idle-speed=low bank-balance=even',
    first: 'clean-bench clean-in-place',
  }),
  c('a-105', 'one body', 'deposit', 'Scooter with a black throat', {
    says: 'Idle too low and it needs throttle to stay running.',
    asked: 'mileage=yes',
    finds: 'duct-off-look=ring light-gap=blocked plate-by-hand=sticks idle-speed=low',
    first: 'clean-bench clean-in-place',
  }),
  c('a-106', 'one body', 'flange-leak', 'Twin with a cracked boot', {
    says: 'Revs hang and it pops on the overrun.',
    finds: 'boot-look=folded leak-by-ear=changed smoke-test=flange idle-speed=high',
    first: 'rebuild clean-bench',
  }),
  c('a-107', 'bank of four', 'sync', 'Four that buzzes through the bars', {
    says: 'Lots of vibration at idle and jerky at low revs.',
    asked: 'mileage=yes',
    finds: 'bank-balance=out cylinders=one',
    first: 'adjust',
  }),
  c('a-108', 'bank of four', 'sync', 'Tourer after valve clearances', {
    says: 'After the valve service it is lumpy at idle.',
    codes: 'read',
    finds: 'bank-balance=out idle-speed=low boot-look=good',
    first: 'adjust',
  }),
  c('a-109', 'bank of four', 'cable', 'Sports bike that revs when steering', {
    says: 'Revs climb when I turn the bars to the left.',
    finds: 'cable-play=tight closed-volts=high idle-speed=high',
    first: 'adjust',
  }),
  c('a-110', 'bank of four', 'intake-leak', 'Bike with a missing cap', {
    says: 'Hunts and hangs since I balanced the throttles myself.',
    asked: 'intake-work=yes onset=sudden',
    finds: 'hoses-seen=off leak-by-ear=changed bank-balance=out idle-speed=high',
    first: 'elsewhere',
  }),
  c('a-111', 'bank of four', 'position', 'Bike that jerks at constant throttle', {
    says: 'Jerks at a steady 50, on and off throttle is awful.',
    codes: 'P0121 stored',
    finds: 'sweep-dropouts=dropouts bank-balance=even',
    first: 'rebuild replace',
  }),
  c('a-112', 'bank of four', 'fuel', 'Bike after the winter', {
    says: 'Stood all winter with old petrol. Flat and hard to start.',
    finds: 'fuel-pressure=low plugs-look=good bank-balance=even',
    first: 'elsewhere',
  }),
  c('a-113', 'bank of four', 'left-unplugged', 'Injectors back in the wrong order', {
    says: 'Since the throttles were off it runs terribly and spits.',
    asked: 'intake-work=yes onset=sudden',
    finds: 'connections=swapped cylinders=one bank-balance=even',
    first: 'elsewhere',
  }),
  c('a-114', 'outboard', 'warped', 'Launch trolls too fast when hot', {
    says: 'Trolling speed is up and it does not come down any more, since it ran hot in summer.',
    finds: 'flatness=warped light-gap=uneven idle-speed=high valve-duty=low',
    first: 'replace replace-rebuilt replace-used',
  }),
  c('a-115', 'outboard', 'valve-stuck', 'Ferry tender stalls at the pontoon', {
    says: 'Cuts out when I put it in gear at the pontoon.',
    codes: 'read',
    asked: 'stands=yes',
    finds: 'valve-moves=clicks valve-turns=stuck valve-deposit=heavy idle-speed=low light-gap=even',
    first: 'clean-bench',
  }),
  c('a-116', 'outboard', 'pigtail', 'Work boat with green pins', {
    says: 'Alarm and it drops to 2000 revs, then fine again. Salt water got in.',
    codes: 'P0122 stored',
    finds: 'plug-pins=bad plug-fit=wet wiggle=reacts',
    first: 'elsewhere',
  }),
  c('a-117', 'outboard', 'fuel', 'Launch that dies under load', {
    says: 'Will not get on the plane, dies when pushed. Stood since last season.',
    finds: 'fuel-pressure=low plugs-look=good valve-moves=moves',
    first: 'elsewhere',
  }),
  c('a-118', 'outboard', 'supply', 'Boat with a weak battery', {
    says: 'Starts badly and stalls when I switch the lights and pump on.',
    codes: 'P0562 stored',
    finds: 'supply-volts=low ground-drop=high',
    first: 'elsewhere',
  }),
  c('a-119', 'outboard', 'none', 'Boat that shakes at half speed', {
    says: 'It vibrates badly at half speed and the wheel pulls.',
    codes: 'read',
    finds: 'idle-speed=in-band valve-duty=in-band light-gap=even cylinders=even',
    first: 'elsewhere',
  }),
  c('a-120', 'outboard', 'valve-coil', 'Tender with a dead stepper', {
    says: 'It stalls every time the lever comes to neutral, from one day to the next.',
    codes: 'P0505 stored',
    finds: 'valve-moves=dead coil-ohms=open plug-pins=good idle-speed=low',
    first: 'replace replace-rebuilt replace-used',
  }),
  c('a-121', 'bank with valve', 'passage', 'Tourer with choked idle ports', {
    says: 'Low idle, stalls cold. A new idle valve did nothing.',
    tried: 'replace@idle-valve no 10 days 200 km',
    finds: 'passage-look=coked valve-moves=moves bank-balance=even idle-speed=low',
    first: 'clean-bench',
  }),
  c('a-122', 'one body', 'none', 'Bike with a dragging clutch', {
    says: 'It creeps at the lights and stalls in gear, in neutral it idles perfectly.',
    codes: 'read',
    finds: 'idle-speed=in-band valve-moves=moves duct-off-look=clean',
    first: 'elsewhere',
  }),
];
