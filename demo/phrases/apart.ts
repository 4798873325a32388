/**
 * Sentences set apart: `sentence | what must be heard`. A finding is `sign=outcome`; `~` before it: may be heard;
 * `?sign`: must be asked back; `code:`, `idle:` and `tried:` are codes, an idle speed and an attempt. Nothing else may
 * be heard. Owners, riders, skippers, workshop notes, and people who write in their second language.
 */
export const APART_PHRASES = `
It keeps revving up and down when I wait at the ferry | hunting=yes
The needle swings between 600 and 1200 at the lights | hunting=yes ~rough=yes
Idle won't settle, goes 700 900 700 900 | hunting=yes
engine hunts, customer says worse since winter | hunting=yes ~stands=yes
Revs pulse at standstill | hunting=yes
She surges when she is ticking over | hunting=yes
The motor goes high low high low by alone | hunting=yes
It does not hunt any more | hunting=no
no surging, no stalling | hunting=no stalls=no
It cuts out when I come to a stop | stalls=yes
Dies at every junction | stalls=yes
Engine stops when I press the clutch | stalls=yes
it stalled twice on the way here | stalls=yes
The boat quits when I come back to neutral | stalls=yes
Motor is going off when I stand at red light | stalls=yes
It almost stalls but catches itself | stalls=nearly
Nearly cut out at the roundabout this morning | stalls=nearly ~onset=sudden
very close to stalling at idle | stalls=nearly
It has never stalled | stalls=no
doesn't cut out | stalls=no
If it stalls again I will sell it | ~stalls=yes
My neighbour's van stalls, mine is only rough | rough=yes
Could it be that it stalls because of the heat? | ~stalls=yes ~temperature=warm
Idle sits at 1400 when warm | idle:1400 ~idle-high=yes ~temperature=warm
Idles at 450, P0505 | idle:450 code:P0505 ~idle-low=yes
idles around 1,600 rpm | idle:1600 ~idle-high=yes
P0171 and P0507 stored | code:P0171 code:P0507
lamp on, code p 0122 | code:P0122
DTC P2135-00 comes back straight away | code:P2135 code-returns=at-once
Code P0506 came back after four days | code:P0506 code-returns=days
the same fault returned a week later | code-returns=days
code comes back as soon as I switch on | code-returns=at-once
The idle speed is far too high | idle-high=yes
It revs much too high when I take my foot off | idle-high=yes ~hangs=yes
trolling speed has gone up by a knot | idle-high=yes
won't troll slowly enough | idle-high=yes
It races at the lights | idle-high=yes
It is idling a bit fast | idle-high=yes
the idle is not too high | idle-high=no
Idle not high, only rough | idle-high=no rough=yes
It idles too low | idle-low=yes
Tickover has dropped | idle-low=yes
barely keeps running at idle | idle-low=yes
I have to keep my foot on it or it goes out | idle-low=yes ~stalls=yes
you have to hold the throttle a little to keep it alive | idle-low=yes
revs drop very low when stopping | idle-low=yes
Idle low in drive | idle-low=yes load=yes
It shakes at the lights | rough=yes
Whole car vibrates when standing | rough=yes
runs lumpy | rough=yes
uneven running at idle, smooth when driving | rough=yes at-idle-only=yes
Engine judders in neutral | rough=yes
It is not rough | rough=no
runs smooth as silk | rough=no
No power uphill | response=yes ~load=yes
it is gutless | response=yes
Flat spot just off idle | response=yes ~snatch=yes
I press and nothing happens for a second | response=yes
Doesn't pull like it used to | response=yes
hesitation when accelerating | response=yes
slow throttle response | response=yes
pulls fine | response=no
It has plenty of power | response=no
It bucks when I pull away | snatch=yes
jerky when moving off | snatch=yes
on-off throttle is snatchy | snatch=yes
kangaroos in first gear | snatch=yes
Jolts when I touch the gas lightly | snatch=yes
went into limp home | limp=yes
It will only do 2000 revs | limp=yes
Reduced engine power message | limp=yes
the car is in emergency mode | limp=yes
power is limited, spanner light | limp=yes
It has not been in limp mode | limp=no
The valve buzzes with the ignition on | clicking=yes
rapid clicking from the idle valve when I turn the key | clicking=yes
something ticks under the bonnet with key on, engine off | clicking=yes
no clicking from the valve | clicking=no
I hear air being sucked in somewhere | whistle=yes
There's a hissing from the manifold | whistle=yes
it whistles like a kettle | whistle=yes
No hiss to be heard | whistle=no
revs stay up between gears | hangs=yes
It takes five seconds to come back down to idle | hangs=yes
Throttle hangs open for a moment | hangs=yes
slow to return to idle | hangs=yes
idle comes down at once | hangs=no
The gas pedal gets stuck at the top | sticky-pedal=yes
first bit of the pedal is stiff | sticky-pedal=yes
twist grip sticks closed | sticky-pedal=yes
pedal moves freely | sticky-pedal=no
It takes ages to start | hard-start=yes
Cranks and cranks before it fires | hard-start=yes
won't start without some gas | hard-start=yes
starts only with foot on pedal | hard-start=yes
starts first turn of the key | hard-start=no
Starts fine | hard-start=no
Black smoke behind me | smoke=yes
Sooty exhaust when accelerating | smoke=yes
No smoke | smoke=no
After a blip of the throttle it drops too far | after-blip=yes
When I rev it and let go it falls below idle and nearly dies | after-blip=yes ~stalls=nearly
revs undershoot after blipping | after-blip=yes
Only bad at idle, once moving it is perfect | at-idle-only=yes
driving is fine, just the idle is bad | at-idle-only=yes
unsteady at standstill but not on the road | at-idle-only=yes
surges at a steady fifty | cruise-surge=yes
At constant speed it pulses as if I were playing with the pedal | cruise-surge=yes
the throttle body whirrs with the key on | motor-noise=yes
Grinding from the throttle motor | motor-noise=yes
The traction light is on as well | other-lamp=yes
Cruise control no longer works | other-lamp=yes
ABS and skid lamps came on too | other-lamp=yes
no other lamps | other-lamp=no
No fast idle when cold | fast-idle=missing ~temperature=cold
Stays on the choke even when hot | fast-idle=stays
still on high idle after ten minutes | fast-idle=stays ~idle-high=yes
heater blows cold at the lights | heater-cold=yes
only lukewarm air from the heater | heater-cold=yes
Worse when cold | temperature=cold
only when the engine has warmed up | temperature=warm
happens after a long run | temperature=warm
first thing in the morning it's terrible | temperature=cold
hot or cold makes no difference | temperature=same
not when cold | ~temperature=warm
the engine is cold to the touch today | 
Worse with the air con running | load=yes
when I turn the steering wheel at standstill it sags | load=yes ~idle-low=yes
drops when the headlights go on | load=yes ~idle-low=yes
in gear with the brake on | load=yes
makes no difference whether the lights are on | load=no
It started all of a sudden | onset=sudden
From one day to the next | onset=sudden
since yesterday | onset=sudden
It has been creeping up on me for months | onset=gradual
gets worse every week | onset=gradual
Bit by bit over the summer | onset=gradual
sometimes it's fine | comes-and-goes=yes
Intermittent | comes-and-goes=yes
happens every so often | comes-and-goes=yes
it's there all the time | comes-and-goes=no
always, every day | comes-and-goes=no
mainly when it rains | wet=yes
after going through a puddle | wet=yes
worse in fog and damp | wet=yes
rain makes no difference | wet=no
After refuelling it starts badly | after-fill=yes hard-start=yes
right after I fill up | after-fill=yes
The battery was changed last week and it began then | battery=yes
battery disconnected by the last garage two days ago | battery=yes
went flat and was jump started, since then rough | battery=yes rough=yes
New battery a year ago | ~battery=no
The battery was replaced in 2019 | ~battery=no
battery is fine | ~battery=no
I think it needs a new battery | 
The throttle was cleaned yesterday | cleaned=yes
I sprayed it with cleaner last weekend | cleaned=yes
Please clean the throttle body | 
I would like the throttle cleaned | 
wants the throttle cleaned | 
throttle cleaned three years ago | ~cleaned=no ~mileage=yes
Nobody has ever cleaned the throttle | mileage=yes ~cleaned=no
never had the throttle cleaned in 160,000 km | mileage=yes ~cleaned=no
It came with a used throttle body from a breaker, never ran right since | unit-changed=yes
throttle body was replaced and then it started | unit-changed=yes
Since the new idle valve it hunts | unit-changed=yes hunting=yes
He wants a new throttle body | 
Do I need a new throttle body? | 
idle valve replaced, no change | tried:replace:no
New idle valve made no difference | tried:replace:no
They replaced the throttle body and the code came back | tried:replace:no ~code-returns=days
cleaned the body, still stalls | tried:clean-in-place:no stalls=yes
Cleaning helped for a month | ~cleaned=yes tried:clean-in-place:yes
relearn done, did not take | tried:relearn:no ~relearn-done=badly
Reset the adaptation, no improvement | tried:relearn:no ~relearn-done=done
relearn was never done after the battery | relearn-done=left-out ~battery=yes
they forgot to teach the throttle | relearn-done=left-out
relearned twice and it is learned | relearn-done=done
gasket reused | gasket-reused=yes
put it back with the old gasket | gasket-reused=yes
new gasket fitted | gasket-reused=no
Air filter changed on Friday | intake-work=yes
Since the service it has been bad | intake-work=yes
after the intake hose was off | intake-work=yes
The service is due | 
I am very happy with your service | 
Just had the timing belt done | ~intake-work=yes
It stood in the barn all winter | stands=yes
only drives to church on Sundays | stands=yes
short hops to the shop | stands=yes
used every day for long trips | stands=no
The engine boiled over in July | overheated=yes
ran hot last month | overheated=yes
never overheated | overheated=no
The temperature gauge is broken | 
My wife says the seats are cold | 
It idles perfectly now | ~hunting=no ~rough=no
the radio whistles when I speed up | 
brakes squeal and the wipers judder | 
clicking from the wheel in bends | 
The door sticks in the cold | 
rough road to the farm | 
I stalled it twice because I let the clutch up too fast | ~stalls=yes
smooth idle, strong pull, no codes | rough=no response=no
Stals at lights and hunts whne warm | stalls=yes hunting=yes temperature=warm
stalling, huntin, hesitatin | stalls=yes hunting=yes response=yes
idel to high | idle-high=yes
thorttle sticks | sticky-pedal=yes
Engine is trembling on the place | rough=yes
When I give gas, comes late | response=yes
At red light falls the turning and goes out | stalls=yes ~idle-low=yes
By cold it makes problems | temperature=cold
Outboard coughs and dies coming alongside | stalls=yes ~rough=yes
bike idles at 2k and won't drop | idle-high=yes hangs=yes ~idle:2000
cuts out pulling in the clutch, restarts straight away | stalls=yes ~hard-start=no
customer reports poor idle, rough, P0300 P0301 | rough=yes code:P0300 code:P0301
C/O intermittent stall hot. Codes: P0335 | stalls=yes comes-and-goes=yes temperature=warm code:P0335
Stalls in reverse with a/c on, fine otherwise | stalls=yes load=yes
hunts cold, ok hot | hunting=yes temperature=cold
`;
