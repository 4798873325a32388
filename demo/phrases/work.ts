/** Sentences to work with, in the form of those set apart: see `apart.ts`. */
export const WORK_PHRASES = `
Hunts at the quay | hunting=yes
The idle goes up and down | hunting=yes
revs rise and fall by themselves | hunting=yes
idle speed swings | hunting=yes
surging at idle | hunting=yes
Rpm is oscillating between 700 and 1100 | hunting=yes
It revs up, drops, revs up, drops | hunting=yes
cycling idle | hunting=yes
the engine speed wanders at idle | hunting=yes
idle is like a saw | hunting=yes
the revs go all over the place at idle | hunting=yes
hunting idle noted on road test | hunting=yes
Ticks over unevenly, up and down | hunting=yes ~rough=yes
The tickover is unsteady | hunting=yes ~rough=yes
idle bounces | hunting=yes
yo-yo idle | hunting=yes
does not hunt | hunting=no
idle is steady | hunting=no
no hunting | hunting=no
never hunts | hunting=no
idle steady as a rock, only too high | hunting=no idle-high=yes
It isn't surging any more | hunting=no
stopped hunting since Monday | hunting=no
Stalls when coming to rest | stalls=yes
cuts out at traffic lights | stalls=yes
It dies when I stop | stalls=yes
conks out in traffic | stalls=yes
the engine goes out at stops | stalls=yes
keeps stalling | stalls=yes
Switches itself off at junctions | stalls=yes
engine quits at idle | stalls=yes
It died on me three times today | stalls=yes
stall on deceleration | stalls=yes
stops running when I declutch | stalls=yes
motor goes dead alongside the pontoon | stalls=yes
shuts down when I roll to a halt | stalls=yes
cutting out | stalls=yes
nearly stalls at lights | stalls=nearly
almost dies when I stop | stalls=nearly
on the point of stalling | stalls=nearly
it wants to stall | stalls=nearly
tries to die at idle | stalls=nearly
threatens to cut out | stalls=nearly
does not stall | stalls=no
it never stalls | stalls=no
no stalling | stalls=no
It didn't cut out today | stalls=no
hasn't died on me yet | stalls=no
no longer stalls | stalls=no
stalls no more | stalls=no
should it stall, call me | ~stalls=yes
I'm afraid it will stall | ~stalls=yes ~stalls=nearly
what if it stalls on the motorway | ~stalls=yes
my brother's car stalls too | 
The other van stalls as well | ~stalls=yes
Idle too high | idle-high=yes
It idles high | idle-high=yes
fast idle all the time | ~comes-and-goes=no idle-high=yes ~fast-idle=stays
high idle when warm | idle-high=yes temperature=warm
idles at 1500 | idle:1500 ~idle-high=yes
Idles at 1.500 | idle:1500 ~idle-high=yes
idle speed 1250 rpm warm | idle:1250 ~idle-high=yes ~temperature=warm
tickover 1100 | idle:1100 ~idle-high=yes
it is sitting at 2000 revs at idle | idle:2000 ~idle-high=yes
The revs are too high in neutral | idle-high=yes
Trolls too fast | idle-high=yes
trolling speed up on the boat | idle-high=yes
revs high when I stop | idle-high=yes
runs too fast at idle | idle-high=yes
races when I come off the gas | idle-high=yes
engine races in neutral | idle-high=yes
won't come down below 1300 | idle-high=yes ~idle:1300
creeps forward in drive because it idles fast | ~load=yes idle-high=yes
idle not high | idle-high=no
The idle isn't high | idle-high=no
idles normally | ~idle-high=no ~idle-low=no ~hunting=no
Idle too low | idle-low=yes
idles low | idle-low=yes
idle drops too far | idle-low=yes
low tickover | idle-low=yes
It runs too slow at idle | idle-low=yes
idles at 500 | idle:500 ~idle-low=yes
idle speed is 480 | idle:480 ~idle-low=yes
barely idles | idle-low=yes
hardly idles | idle-low=yes
needs a bit of pedal to stay running | idle-low=yes
I have to give it gas to keep it running | idle-low=yes
won't idle | idle-low=yes ~stalls=yes
will not idle by itself | idle-low=yes ~stalls=yes
no idle at all | idle-low=yes ~stalls=yes
cannot hold the idle | idle-low=yes ~stalls=yes
idle is not low | idle-low=no
Revs sag at idle | idle-low=yes
Rough at lights | rough=yes
it runs rough | rough=yes
The whole cab shakes | rough=yes
shaking at idle | rough=yes
vibrates at standstill | rough=yes
vibration through the seat at lights | rough=yes
lumpy idle | rough=yes
uneven idle | rough=yes
runs on three | rough=yes
misfires at idle | rough=yes
missing a beat | rough=yes
shudders in neutral | rough=yes
runs unevenly | rough=yes
chugs and splutters at idle | rough=yes
engine trembles | rough=yes
coughing and spluttering | rough=yes
rocks on its mounts | rough=yes
not rough | rough=no
no vibration | rough=no
runs smoothly | rough=no
idles smoothly | rough=no
It is no longer rough | rough=no
Poor response | response=yes
no power | response=yes
lacks power | response=yes
loss of power on hills | response=yes
feels flat | response=yes
down on power | response=yes
it is sluggish | response=yes
bogs when I open the throttle | response=yes
hesitates | response=yes
does not pull | response=yes
won't accelerate | response=yes
lazy off the line | response=yes
weak on hills | response=yes
delay when I press the pedal | response=yes
it takes a moment before it reacts | response=yes
it dies when I accelerate | response=yes ~stalls=yes
won't get up to speed | response=yes
not enough poke | response=yes
pulls well | response=no
power is fine | response=no
no loss of power | response=no
good response | response=no
Doesn't hesitate | response=no
Snatches when pulling away | snatch=yes
jerks when I set off | snatch=yes
lurches | snatch=yes
jumps forward when I touch the pedal | snatch=yes
bucking at low speed | snatch=yes
jerking in first | snatch=yes
it leaps off the line | snatch=yes
does not jerk | snatch=no
pulls away smoothly | snatch=no
limp mode | limp=yes
goes into limp mode | limp=yes
in limp | limp=yes
emergency running | limp=yes
will not rev past 3000 | limp=yes
won't rev over 2500 | limp=yes
engine power reduced | limp=yes
restricted performance on the dash | limp=yes
stuck at 1500 revs whatever I press | limp=yes
failsafe mode | limp=yes
safe mode, no revs | limp=yes
no limp mode | limp=no
never went into limp mode | limp=no
walks with a limp | 
The valve clicks with the key on | clicking=yes
clicking from the idle valve | clicking=yes
buzzing valve | clicking=yes
chattering idle valve, key on | clicking=yes
The stepper ticks and does not move | clicking=yes
ticking from the idle motor | clicking=yes
valve does not click | clicking=no
the idle valve is silent | clicking=no
indicator clicks fast | 
clicking from the driveshaft | 
hissing noise | whistle=yes
there is a hiss | whistle=yes
it hisses by the manifold | whistle=yes
whistling at idle | whistle=yes
sucking noise from the engine bay | whistle=yes
sounds like air leaking | whistle=yes
air leak noise near the throttle | whistle=yes
no whistling | whistle=no
no hiss anywhere | whistle=no
radio hisses | 
Revs hang | hangs=yes
revs hang up when I lift | hangs=yes
slow to come down | hangs=yes
revs are slow to fall | hangs=yes
the revs stay high after I lift off | hangs=yes ~idle-high=yes
takes ages to come back to idle | hangs=yes
does not return to idle quickly | hangs=yes
throttle stays open when I let go | hangs=yes
idle hang-up between shifts | hangs=yes
revs do not hang | hangs=no
revs drop straight away | hangs=no
pedal sticks | sticky-pedal=yes
sticky throttle | sticky-pedal=yes
the accelerator sticks at the top | sticky-pedal=yes
stiff pedal | sticky-pedal=yes
throttle is stiff to open | sticky-pedal=yes
grip is hard to twist | sticky-pedal=yes
have to push through a notch in the pedal | sticky-pedal=yes
pedal does not stick | sticky-pedal=no
accelerator moves freely | sticky-pedal=no
clutch pedal sticks | 
Hard to start | hard-start=yes
difficult to start | hard-start=yes
won't start | hard-start=yes
starts badly | hard-start=yes
takes several tries to start | hard-start=yes
long cranking | hard-start=yes
needs pedal to start | hard-start=yes
poor starting in the mornings | hard-start=yes ~temperature=cold
needs gas to start | hard-start=yes
starting problems | hard-start=yes
turns over for ages | hard-start=yes
starts well | hard-start=no
starts straight away | hard-start=no
no trouble starting | hard-start=no
starts every time | hard-start=no
black smoke | smoke=yes
smokes black under load | smoke=yes ~load=yes
soot on the bumper | smoke=yes
puffs of black smoke | smoke=yes
it smokes | smoke=yes
doesn't smoke | smoke=no
no black smoke | smoke=no
the customer smokes | 
dips after a blip | after-blip=yes
when I blip it, it dies | after-blip=yes ~stalls=yes
revs fall too far after a blip | after-blip=yes
drops below idle when I let go of the pedal | after-blip=yes ~idle-low=yes
undershoots on lift-off | after-blip=yes
stalls when I snap the throttle shut | after-blip=yes stalls=yes
lifting off sharply makes it stall | after-blip=yes stalls=yes
only at idle, fine on the move | at-idle-only=yes
drives perfectly, idles badly | at-idle-only=yes ~rough=yes
fine once moving | at-idle-only=yes
runs well on the road but shakes at idle | at-idle-only=yes rough=yes
above idle it is fine | at-idle-only=yes
bad at all speeds | at-idle-only=no
not only at idle, on the road too | at-idle-only=no
surges at steady speed | cruise-surge=yes
hunting at constant throttle on the motorway | cruise-surge=yes ~hunting=yes
pulsing at 80 km/h | cruise-surge=yes
surges while cruising | cruise-surge=yes
jerks at constant speed | cruise-surge=yes
whirring from the throttle with the key on | motor-noise=yes
throttle body makes a grinding noise | motor-noise=yes
rattle from the flap after switching off | motor-noise=yes
the throttle motor hums loudly | motor-noise=yes
no noise from the throttle | motor-noise=no
traction control lamp is on | other-lamp=yes
stability light comes on too | other-lamp=yes
cruise control does not set | other-lamp=yes
skid light lit | other-lamp=yes
brake light switch was faulty | ~other-lamp=yes
no fast idle in the cold | fast-idle=missing ~temperature=cold
does not raise its idle when cold | fast-idle=missing ~temperature=cold
high idle never drops after warm-up | fast-idle=stays idle-high=yes
stuck on fast idle | fast-idle=stays ~idle-high=yes
stays on fast idle | fast-idle=stays ~idle-high=yes
fast idle is normal | fast-idle=right
heater goes cold at idle | heater-cold=yes
no heat from the heater | heater-cold=yes
heater only warm when revving | heater-cold=yes
heater works well | heater-cold=no
worse cold | temperature=cold
worst in the morning | temperature=cold
cold start problem | temperature=cold ~hard-start=yes
on cold mornings | temperature=cold
only when cold | temperature=cold
until it is warm | temperature=cold
clears once warm | temperature=cold
goes away when it warms up | temperature=cold
worse when warm | temperature=warm
when hot | temperature=warm
once it is warm it starts | temperature=warm
after half an hour of driving | temperature=warm
when it has warmed up | temperature=warm
fine cold, bad hot | temperature=warm
the same cold and warm | temperature=same
cold or warm no difference | temperature=same
never when it is warm | temperature=cold
I have a cold | 
cold beer in the back | 
with the lights on | load=yes
with the air conditioning on | load=yes
when the a/c kicks in | load=yes
when I turn the steering | load=yes
with the heater fan on | load=yes
when I put it in gear | load=yes
when selecting reverse | load=yes
with everything switched on | load=yes
even without load | load=no
lights on or off makes no difference | load=no
air conditioning does not work | 
suddenly | onset=sudden
all at once | onset=sudden
overnight | onset=sudden
it came from nowhere | onset=sudden
out of the blue | onset=sudden
started this morning | onset=sudden
started yesterday | onset=sudden
one day it was fine the next it was not | onset=sudden
not suddenly | onset=gradual
slowly | onset=gradual
getting worse | onset=gradual
over several months | onset=gradual
gradually | onset=gradual
worse and worse | onset=gradual
it has got worse over the years | onset=gradual
for a long time now | onset=gradual
sometimes | comes-and-goes=yes
now and then | comes-and-goes=yes
comes and goes | comes-and-goes=yes
from time to time | comes-and-goes=yes
some days it is fine | comes-and-goes=yes
occasionally | comes-and-goes=yes
once in a while | comes-and-goes=yes
on and off | comes-and-goes=yes
not every time | comes-and-goes=yes
always | comes-and-goes=no
permanently | comes-and-goes=no
every time | comes-and-goes=no
constant, never goes away | comes-and-goes=no
in the rain | wet=yes
when it is wet | wet=yes
in damp weather | wet=yes
after washing | wet=yes
after heavy rain | wet=yes
dry or wet, no difference | wet=no
not only in the rain | ~wet=no
after filling the tank | after-fill=yes
after filling up with petrol | after-fill=yes
each time I refuel | after-fill=yes
code returns at once | code-returns=at-once
code comes straight back | code-returns=at-once
code back immediately after clearing | code-returns=at-once
code returned after three days | code-returns=days
code came back a week later | code-returns=days
code has not come back | code-returns=no
since the battery went flat | battery=yes
battery was disconnected | battery=yes
after a jump start | battery=yes
new battery fitted on Monday, since then | battery=yes
after changing the battery it idles high | battery=yes idle-high=yes
battery died last week and since then it stalls | battery=yes stalls=yes
battery changed two years ago | ~battery=no
new battery last year | ~battery=no
it had a new battery 3 years ago | ~battery=no
battery tested good | ~battery=no
no battery work | battery=no
battery was not disconnected | battery=no
maybe the battery is weak | 
please check the battery | 
cleaned last week | cleaned=yes
the throttle body was cleaned just before | cleaned=yes
since it was cleaned it idles high | cleaned=yes idle-high=yes
after cleaning the throttle it races | cleaned=yes idle-high=yes
someone sprayed it out | cleaned=yes
cleaned two years ago | ~cleaned=no
throttle was cleaned in 2021 | ~cleaned=no
please clean it | 
should be cleaned | 
needs cleaning | 
wants it cleaned and checked | 
could you clean the throttle | 
planning to clean it | 
was never cleaned | mileage=yes ~cleaned=no
not cleaned for ages | mileage=yes ~cleaned=no
never been touched in 200000 km | mileage=yes
cleaned the windows | 
since the throttle body was replaced | unit-changed=yes
after fitting a used throttle body | unit-changed=yes
fitted a valve from the scrapyard and since then it hunts | unit-changed=yes hunting=yes
new throttle body, since then the lamp is on | unit-changed=yes
second-hand body fitted before it began | unit-changed=yes
started after the idle valve was changed | unit-changed=yes
wants to know what a new throttle body costs | 
needs a new throttle body, they said | 
should we replace the throttle body? | 
throttle body never replaced | unit-changed=no
original throttle body | unit-changed=no
replaced the idle valve, still stalls | tried:replace:no stalls=yes
new throttle body did not help | tried:replace:no
the new valve changed nothing | tried:replace:no
throttle body replaced but same fault | tried:replace:no
they fitted a new body without success | tried:replace:no
replacing the valve cured it for a year | tried:replace:yes
tried cleaning it, no difference | tried:clean-in-place:no
cleaned it twice, no better | tried:clean-in-place:no
cleaning did not help | tried:clean-in-place:no
I cleaned the throttle but it still hunts | tried:clean-in-place:no hunting=yes
after cleaning it was good for 10000 km | tried:clean-in-place:yes ~cleaned=yes
relearn did not take | tried:relearn:no
relearn done but no change | tried:relearn:no ~relearn-done=done
did the idle learn, still high | tried:relearn:no ~idle-high=yes ~relearn-done=done
reset helped for two days | tried:relearn:yes
relearn was left out | relearn-done=left-out
nobody did a relearn | relearn-done=left-out
no relearn after cleaning | relearn-done=left-out ~cleaned=yes
not relearned | relearn-done=left-out
relearn was aborted | relearn-done=badly
relearn done by the book | relearn-done=done
gasket used again | gasket-reused=yes
old gasket put back | gasket-reused=yes
without a new gasket | gasket-reused=yes
with a new gasket | gasket-reused=no
gasket renewed | gasket-reused=no
since the air filter was changed | intake-work=yes
after the service | intake-work=yes
after a service it idles too high | intake-work=yes idle-high=yes
someone had the intake off | intake-work=yes
since work on the engine | intake-work=yes
spark plugs were changed last week | intake-work=yes
after the belt was changed | intake-work=yes
no other work | intake-work=no
service book is complete | 
due for service | 
please do a service | 
stands a lot | stands=yes
laid up for the winter | stands=yes
has been standing for months | stands=yes
not used much | stands=yes
short trips only | stands=yes
school run only | stands=yes
in daily use | stands=no
motorway every day | stands=no
it overheated | overheated=yes
boiled over | overheated=yes
ran hot | overheated=yes
lost coolant last summer | overheated=yes
has not overheated | overheated=no
high mileage, never cleaned | mileage=yes ~cleaned=no
P0505 | code:P0505
code P0121 stored | code:P0121
P 0506 | code:P0506
P0171-00 | code:P0171
idles at 450 with P0505 | idle:450 code:P0505 ~idle-low=yes
read out: P0122, P0123, P2135 | code:P0122 code:P0123 code:P2135
no codes | 
no fault codes stored | 
stals when comming to rest | stalls=yes
hunts, stals and is hard to strat | hunting=yes stalls=yes hard-start=yes
idel too low | idle-low=yes
ruff idle | rough=yes
no powr | response=yes
limp mod | limp=yes
hesitats when accelerating | response=yes
the motor dies at the red lamp | stalls=yes
engine goes out when I stop | stalls=yes
when cold runs bad | temperature=cold ~rough=yes
the turns are too high | idle-high=yes
turns go up and down in stand | hunting=yes
gas comes delayed | response=yes
it makes jerk by start driving | snatch=yes
gas pedal is hanging | sticky-pedal=yes
the car does not get gas | response=yes
starts bad in the morning | hard-start=yes temperature=cold
shakes by red light | rough=yes
engine off at low speed and on again at once | stalls=yes ~hard-start=no
Outboard stalls in neutral | stalls=yes
drops out of gear and dies | stalls=yes
won't idle down for fishing | idle-high=yes
engine cuts when shifting to reverse | stalls=yes ~load=yes
bike stalls at lights | stalls=yes
blipping the throttle makes it hang | hangs=yes
snatchy on a closed throttle | snatch=yes
bike hunts at 4000 constant | cruise-surge=yes ~hunting=yes
cust states hunts cold, ok warm | hunting=yes temperature=cold
c/o rough idle + stall | rough=yes stalls=yes
RT ok, idle 1350, P0507 | idle:1350 code:P0507 ~idle-high=yes ~response=no
idle fluctuates, adaptation reset w/o success | hunting=yes tried:relearn:no
poor idle after TB clean, no relearn | rough=yes cleaned=yes relearn-done=left-out
TB replaced elsewhere, fault persists | tried:replace:no
everything fine | 
the paint is nice | 
squeaks from the fan belt | 
brakes vibrate | 
steering is heavy | 
tyres are low | 
the gearbox is rough | 
boot does not close | 
It stalls but it does not hunt | stalls=yes hunting=no
rough when cold but smooth when warm | rough=yes temperature=cold
not too high, not too low, just rough | idle-high=no idle-low=no rough=yes
neither hunts nor stalls | hunting=no stalls=no
it hunts and stalls | hunting=yes stalls=yes
hunting, no stalling, no codes | hunting=yes stalls=no
worse in the rain, comes and goes | wet=yes comes-and-goes=yes
limp mode comes and goes | limp=yes comes-and-goes=yes
`;
