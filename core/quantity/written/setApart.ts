/**
 * Numbers as people write them, set apart: written down before the reader was, never used to tune it. Its score is
 * what a stranger's typing may expect. The form is that of `TUNING`.
 */
export const SET_APART = `
@odometerKm
203417 => 203417 km
203,417 => 203417 km
203.417 km => 203417 km
203 417 km => 203417 km
203’417 => 203417 km
203\u2009417 km => 203417 km
203.417,6 => 203417.6 km
203,417.6 km => 203417.6 km
1,203,417 km => 1203417 km
approx. 203,000 km => 203000 km
≈ 203 000 => 203000 km
203k => 203000 km
126,400 mi => 126400 mi
2,03,417 => 203417 km
9 => 9 km
203,417 kg => no
203,41 7 => no
203.41.7 => no
-203,417 => no
203,417 to 203,500 => no
about => no
203417 Nm => no

@odometerMi
8,912 => 8912 mi
8.912 mi => 8912 mi
118,250 => 118250 mi
118.250 => 118250 mi
118 250 miles => 118250 mi
190,300 km => 190300 km
118,250 h => no
118,250/118,260 => no

@runningHours
486 => 486 h
2,140 => 2140 h
2.140 => 2140 h
486.2 h => 486.2 h
486,2 => 486.2 h
486 h 12 min => 29172 min
486 hrs => 486 h
486 mi => no

@torqueSpec
12 Nm => 12 N·m
12 N m => 12 N·m
12 newton meters => 12 N·m
5,5 N·m => 5.5 N·m
105 in·lb => 105 in·lb
105 lb in => 105 in·lb
105 in-lbf => 105 in·lb
18 ft-lbs => 18 ft·lb
18 lbf ft => 18 ft·lb
6½ ft lb => 6.5 ft·lb
6 1/2 ft-lb => 6.5 ft·lb
1.2 kgf·m => 1.2 kgf·m
1,2 kgfm => 1.2 kgf·m
120 kgf·cm => 120 kgf·cm
4–6 Nm => 4..6 N·m
4 – 6 N·m => 4..6 N·m
4 to 6 newton metres => 4..6 N·m
4 Nm – 6 Nm => 4..6 N·m
5 ± 0.5 Nm => 4.5..5.5 N·m
5 ± 0,5 Nm => 4.5..5.5 N·m
20 Nm ± 5 % => 19..21 N·m
4,5 to 5,5 Nm => 4.5..5.5 N·m
between 4 and 6 Nm => 4..6 N·m
100–110 lbf in => 100..110 in·lb
10 Nm + 90° => 10 N·m + 90 °
10 Nm + 60 degrees => 10 N·m + 60 °
10 Nm + ½ turn => 10 N·m + 180 °
2.500 Nm => 2.5 N·m
2,500 Nm => 2.5 N·m
approx 12 Nm => 12 N·m
12 lb => ask 12 in·lb | 12 ft·lb
12 lbf => ask 12 in·lb | 12 ft·lb
12 => no
12 N => no
12 mm => no
-4 Nm => no
6–4 Nm => no
4 to => no
–6 Nm => no
at least 4 Nm => no
< 6 Nm => no
4–6–8 Nm => no
4 Nm 6 Nm => no
4/6 Nm => no
4; 6 Nm => no
M8 25 Nm => no
two Nm => no
12 Nm + 45 Nm => no
12 Nm - => no

@torqueReached
11.8 Nm => 11.8 N·m
11,8 N·m => 11.8 N·m
8 ft lb => 8 ft·lb
11–12 Nm => no
12 ± 1 Nm => no
about 12 => no

@turn
60 => 60 °
60 degrees => 60 °
½ turn => 0.5 turn
60 rpm => no

@turnsOfScrew
-0.75 => -0.75 turn
−¾ => -0.75 turn
1 3/4 turns => 1.75 turn
¾ turn => 0.75 turn
0,5 => 0.5 turn
2 Nm => no

@coilOhms
52 => 52 Ω
52,3 Ω => 52.3 Ω
52.3 ohms => 52.3 Ω
4.7k => 4700 Ω
4k7 => 4700 Ω
12,300 Ω => 12.3 Ω
2.200 => ask 2.2 Ω | 2200 Ω
50–54 => no
52 V => no

@sensorVolts
0.72 => 0.72 V
0,72 V => 0.72 V
.72 V => 0.72 V
4.480 => 4.48 V
2,310 V => 2.31 V
720 mV => 720 mV
0.72 to 4.5 => no
0.72 Ω => no

@batteryVolts
11.9 V => 11.9 V
14,20 => 14.2 V

@idleSpeed
700 => 700 rpm
1,200 => 1200 rpm
1.200 rpm => 1200 rpm
1 200 rpm => 1200 rpm
1'200 => 1200 rpm
700 r.p.m. => 700 rpm
700 rev/min => 700 rpm
~700 rpm => 700 rpm
700-750 => no
700 mm => no

@idleBand
650 to 750 => 650..750 rpm
650–750 rpm => 650..750 rpm
700 ± 50 rpm => 650..750 rpm
1,100–1,300 => 1100..1300 rpm
900 to 1.100 => 900..1100 rpm
650 => no
650– => no
750–650 => no

@voltsBand
0.6 to 0.8 => 0.6..0.8 V
0,6–0,8 V => 0.6..0.8 V
600 to 800 mV => 600..800 mV

@share
33 % => 33 %
33,3 => 33.3 %
33 per cent => 33 %
30–35 => no

@trim
-4,7 % => -4.7 %
+4.7 => 4.7 %

@coolantTemperature
84 => 84 °C
84,5 °C => 84.5 °C
84 deg C => 84 °C
180 F => 180 °F
14 °F => 14 °F
-20 => -20 °C
−20C => -20 °C
80–90 °C => no
84 kPa => no

@freezePoint
-26 => -26 °C
−26 °C => -26 °C
-15 °F => -15 °F
minus 26 °C => -26 °C

@manifoldPressure
42,5 kPa => 42.5 kPa
99,800 kPa => 99.8 kPa
425 mbar => 425 mbar
20 inHg => 20 inHg

@fuelPressure
2,8 bar => 2.8 bar
2.800 bar => 2.8 bar
41 psi => 41 psi

@airMass
2,85 => 2.85 g/s
10.5 kg/h => 10.5 kg/h

@coolantLitres
0.75 => 0.75 L
0,75 l => 0.75 L
750 mL => 750 mL
750 cc => 750 mL
2½ L => 2.5 L
2 1/2 litres => 2.5 L
7,200 L => 7.2 L
75 cl => 75 cL
3 qt => ask 3 US qt | 3 imp qt
½ gallon => ask 0.5 US gal | 0.5 imp gal
12 fl oz => ask 12 US fl oz | 12 imp fl oz
3 US quarts => 3 US qt
-0.75 => no
0.75 bar => no
0.5–0.75 L => no

@canGrams
388,5 g => 388.5 g
2,050 => 2050 g
0,39 kg => 0.39 kg
11 fl oz => no

@minutes
45 => 45 min
45 mins => 45 min
2 h => 2 h
2 h 05 => 125 min
2h 5min => 125 min
2:05 => ask 125 s | 125 min
quarter of an hour => 0.25 h
an hour and a half => 1.5 h
30 to 45 min => no
-45 => no
45 Nm => no

@seconds
1,8 s => 1.8 s
2 min 5 s => 125 s

@days
10 days => 10 d
2 weeks => 2 wk

@portMm
60 => 60 mm
60,25 mm => 60.25 mm
60,250 => 60.25 mm
2 3/8 in => 2.375 in
60 × 70 => no

@playMm
0,12 => 0.12 mm
120 µm => 120 µm
5 thou => 5 thou

@millimetres
1.500 mm => ask 1.5 mm | 1500 mm
300,5 mm => 300.5 mm

@hardness
82 => 82 Shore A
82 shore => 82 Shore A

@roadSpeed
60 km/h => 60 km/h
40 mph => 40 mph

@count
12 => 12 pcs
12 pieces => 12 pcs
2,500 => 2500 pcs
12 mm => no

@money cr
1200 => 1200 cr
64,90 => 64.9 cr
64.9 crowns => 64.9 cr
3,400 cr => 3400 cr
3.400,50 => 3400.5 cr
3'400.50 => 3400.5 cr
3 400,50 cr => 3400.5 cr
64,– => 64 cr
64 Nm => no
60–70 => no

@money JPY
¥980 => 980 JPY
12,500 => 12500 JPY
980.5 => no

@money KWD
2.125 => ask 2.125 KWD | 2125 KWD
1,250.750 KWD => 1250.75 KWD
`;
