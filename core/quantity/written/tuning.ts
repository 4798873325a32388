/**
 * Numbers as people write them, with the field they were typed into and what they mean: the part that the reader may
 * be tuned on. `@` names a field of `FIELDS`, or `money` with a currency. After `=>` stands what is meant:
 * `148220 km`, `8..10 N·m` for a range, `5 N·m + 45 °`, `ask` with the readings to choose from, or `no`.
 */
export const TUNING = `
@odometerKm
148220 => 148220 km
148 220 => 148220 km
148,220 => 148220 km
148.220 => 148220 km
148'220 => 148220 km
148\u2009220 => 148220 km
148\u00a0220 => 148220 km
148\u202f220 km => 148220 km
148,220 km => 148220 km
148.220 km => 148220 km
148220km => 148220 km
148220.4 => 148220.4 km
148,220.4 => 148220.4 km
148.220,4 => 148220.4 km
148 220,4 km => 148220.4 km
1,048,220 => 1048220 km
1.048.220 => 1048220 km
about 148000 => 148000 km
ca. 148 000 km => 148000 km
~148000 => 148000 km
148k => 148000 km
148k km => 148000 km
92,000 miles => 92000 mi
92.000 mi => 92000 mi
56.000 km => 56000 km
0 => 0 km
12 => 12 km
7.5 => 7.5 km
148 22 => no
148,22,0 => no
1.2.3 => no
148220 148221 => no
148,220 L => no
148220 h => no
-148220 => no
148220 - 148300 => no
between 148000 and 149000 => no
unknown => no
148220?? => no

@odometerMi
56,000 => 56000 mi
56.000 => 56000 mi
56000 => 56000 mi
56 000 mi => 56000 mi
56'000 => 56000 mi
56,000 km => 56000 km
99,999.9 => 99999.9 mi
about 56,000 miles => 56000 mi
56k => 56000 mi
56,000 mls => no
over 56,000 => no

@runningHours
1250 => 1250 h
1,250 => 1250 h
1.250 h => 1250 h
1250.5 => 1250.5 h
1250,5 h => 1250.5 h
1,250.5 hrs => 1250.5 h
312 hours => 312 h
312 h 30 min => 18750 min
312 h 30 => 18750 min
312:30 => 18750 min
1 250 => 1250 h
1250 km => no
1250-1260 => no

@torqueSpec
9 Nm => 9 N·m
9 N·m => 9 N·m
9N.m => 9 N·m
9 N-m => 9 N·m
9 newton metres => 9 N·m
8,5 Nm => 8.5 N·m
8.5Nm => 8.5 N·m
80 in-lb => 80 in·lb
80 lbf·in => 80 in·lb
80 in lbs => 80 in·lb
80 inch-pounds => 80 in·lb
80 lbf in => 80 in·lb
7.5 ft lb => 7.5 ft·lb
7.5 lb-ft => 7.5 ft·lb
7.5 foot pounds => 7.5 ft·lb
7½ ft-lb => 7.5 ft·lb
7½ Nm => 7.5 N·m
7 1/2 Nm => 7.5 N·m
½ kgf m => 0.5 kgf·m
0.9 kgf m => 0.9 kgf·m
0,9 kgf·m => 0.9 kgf·m
.9 kgf m => 0.9 kgf·m
90 kgf cm => 90 kgf·cm
900 Ncm => 900 N·cm
900 cNm => 900 cN·m
8–10 Nm => 8..10 N·m
8-10 Nm => 8..10 N·m
8 - 10 Nm => 8..10 N·m
8—10 Nm => 8..10 N·m
8 to 10 Nm => 8..10 N·m
8..10 Nm => 8..10 N·m
8…10 Nm => 8..10 N·m
8 Nm to 10 Nm => 8..10 N·m
8 Nm – 10 Nm => 8..10 N·m
from 8 to 10 Nm => 8..10 N·m
between 8 and 10 Nm => 8..10 N·m
9 ± 1 Nm => 8..10 N·m
9±1 Nm => 8..10 N·m
9 +/- 1 Nm => 8..10 N·m
9 +- 1 Nm => 8..10 N·m
9 Nm ± 1 Nm => 8..10 N·m
9 Nm ± 1 => 8..10 N·m
10 Nm ± 10 % => 9..11 N·m
10 Nm +/-10% => 9..11 N·m
8,5–10,5 Nm => 8.5..10.5 N·m
8.5 to 10.5 N·m => 8.5..10.5 N·m
80–90 in-lb => 80..90 in·lb
8 +2 -1 Nm => 7..10 N·m
5 Nm + 45° => 5 N·m + 45 °
5 Nm +45 deg => 5 N·m + 45 °
5 Nm plus 90 degrees => 5 N·m + 90 °
5 Nm, then 90° => 5 N·m + 90 °
5 Nm + 1/4 turn => 5 N·m + 90 °
8–10 Nm + 45° => 8..10 N·m + 45 °
1.2 Nm => 1.2 N·m
1,2 Nm => 1.2 N·m
1.200 Nm => 1.2 N·m
1,050 in-lb => 1050 in·lb
about 9 Nm => 9 N·m
9 lb => ask 9 in·lb | 9 ft·lb
9 lbs => ask 9 in·lb | 9 ft·lb
9 pounds => ask 9 in·lb | 9 ft·lb
8–10 lb => ask 8..10 in·lb | 8..10 ft·lb
9 => no
8–10 => no
9 kg => no
9 L => no
9 bar => no
45° => no
0 Nm => no
-9 Nm => no
–10 Nm => no
10–8 Nm => no
8– Nm => no
8 to Nm => no
to 10 Nm => no
from 8 Nm => no
up to 10 Nm => no
max 10 Nm => no
≥ 8 Nm => no
8–ten Nm => no
8–10–12 Nm => no
9 Nm 10 Nm => no
9 10 Nm => no
9, 10 Nm => no
9 and 10 Nm => no
8/10 Nm => no
M6 9 Nm => no
9 Nm M6 => no
9 furlongs => no
nine Nm => no
9 Nm then 15 Nm => no
9 Nm + 45 => no
9 Nm + => no
± 1 Nm => no

@torqueReached
9.2 Nm => 9.2 N·m
9,2 Nm => 9.2 N·m
82 in-lb => 82 in·lb
9.20 Nm => 9.2 N·m
8–10 Nm => no
9 ± 1 Nm => no
9.2 => no
5 Nm + 45° => no

@turn
45 => 45 °
45° => 45 °
45 deg => 45 °
90 degrees => 90 °
¼ turn => 0.25 turn
1/4 turn => 0.25 turn
45 Nm => no
45-60 => no

@turnsOfScrew
0.25 => 0.25 turn
-1.5 => -1.5 turn
−1,5 => -1.5 turn
1/4 => 0.25 turn
-1/4 => -0.25 turn
1½ turns => 1.5 turn
1 1/2 turns => 1.5 turn
+0.5 => 0.5 turn
minus 1.5 => -1.5 turn
90° => 90 °
1 to 2 => no
--1 => no

@coilOhms
10.5 => 10.5 Ω
10,5 => 10.5 Ω
10.5 Ω => 10.5 Ω
10.5 ohm => 10.5 Ω
10.5 ohms => 10.5 Ω
10,500 => 10.5 Ω
1.2k => 1200 Ω
1.2 kΩ => 1.2 kΩ
1k2 => 1200 Ω
10R5 => 10.5 Ω
1.050 => ask 1.05 Ω | 1050 Ω
1,050 Ω => ask 1.05 Ω | 1050 Ω
10.5 V => no
-10.5 => no
10 to 12 => no

@sensorVolts
0.50 => 0.5 V
0,50 V => 0.5 V
0.5V => 0.5 V
.5 => 0.5 V
,52 => 0.52 V
0.480 => 0.48 V
4.525 => 4.525 V
1,205 V => 1.205 V
520 mV => 520 mV
½ V => 0.5 V
about 0.5 => 0.5 V
0.5-4.5 => no
0.5 A => no
5 % => no
0.5 0.6 => no

@batteryVolts
12.6 => 12.6 V
12,6 V => 12.6 V
12,600 V => 12.6 V
12.60 volts => 12.6 V

@idleSpeed
850 => 850 rpm
1050 => 1050 rpm
1,050 => 1050 rpm
1.050 => 1050 rpm
1 050 => 1050 rpm
1,050 rpm => 1050 rpm
1050 rpm => 1050 rpm
1050rpm => 1050 rpm
1050 r/min => 1050 rpm
1050 1/min => 1050 rpm
1050 min-1 => 1050 rpm
1050 min⁻¹ => 1050 rpm
1050 U/min => 1050 rpm
850 revs => 850 rpm
about 850 => 850 rpm
850.5 => 850.5 rpm
15 Hz => 15 Hz
850–900 => no
850 ± 50 => no
850 V => no

@idleBand
780 to 880 => 780..880 rpm
780–880 => 780..880 rpm
780-880 rpm => 780..880 rpm
780 - 880 => 780..880 rpm
830 ± 50 => 780..880 rpm
1,050 to 1,150 => 1050..1150 rpm
1.050–1.150 => 1050..1150 rpm
950–1,050 => 950..1050 rpm
780 rpm to 880 rpm => 780..880 rpm
780 => no
780 to => no
880 to 780 => no
780, 880 => no
780 to 880 V => no

@voltsBand
0.45 to 0.55 => 0.45..0.55 V
0,45–0,55 => 0.45..0.55 V
0.45-0.55 V => 0.45..0.55 V
450–550 mV => 450..550 mV
0.5 ± 0.05 => 0.45..0.55 V
0.5 V ± 10 % => 0.45..0.55 V

@shareBand
25 to 40 => 25..40 %
25–40 % => 25..40 %
25 % to 40 % => 25..40 %

@share
50 => 50 %
50 % => 50 %
50% => 50 %
47,5 % => 47.5 %
50 percent => 50 %
½ => 0.5 %
50:50 => no
50/50 => no
40 to 50 => no

@trim
-12.5 => -12.5 %
−12,5 % => -12.5 %
+8 => 8 %
–8 % => -8 %

@coolantTemperature
90 => 90 °C
90 °C => 90 °C
90C => 90 °C
90 C => 90 °C
-35 °F => -35 °F
195 °F => 195 °F
195F => 195 °F
-35 => -35 °C
–35 °C => -35 °C
minus 35 => -35 °C
363 K => 363 K
92.5 => 92.5 °C
90 bar => no
85–95 => no
85 to 95 °C => no
90 / 95 => no

@freezePoint
-37 => -37 °C
−37 °C => -37 °C
-35 °F => -35 °F
-34 F => -34 °F
−37,5 => -37.5 °C
- 37 => -37 °C
-37 to -35 => no

@manifoldPressure
38 => 38 kPa
38 kPa => 38 kPa
101,325 kPa => 101.325 kPa
380 mbar => 380 mbar
1.013 mbar => 1013 mbar
1,013 hPa => 1013 hPa
11.2 inHg => 11.2 inHg
285 mmHg => 285 mmHg
0.38 bar => 0.38 bar
14.7 psi => 14.7 psi

@fuelPressure
3.5 => 3.5 bar
3,5 bar => 3.5 bar
350 kPa => 350 kPa
50 psi => 50 psi
1.600 bar => ask 1.6 bar | 1600 bar

@airMass
3.4 => 3.4 g/s
3,4 g/s => 3.4 g/s
12 kg/h => 12 kg/h

@coolantLitres
0.4 => 0.4 L
0,4 L => 0.4 L
0.400 => 0.4 L
,4 => 0.4 L
400 mL => 400 mL
400 ml => 400 mL
400 cc => 400 mL
400 ccm => 400 mL
400 cm3 => 400 mL
400 cm³ => 400 mL
4 dl => 4 dL
40 cl => 40 cL
ca. 0.4 => 0.4 L
1 1/2 L => 1.5 L
1½ litres => 1.5 L
a litre => 1 L
half a litre => 0.5 L
1,250 L => 1.25 L
6.500 => 6.5 L
1.250 mL => 1250 mL
5 L 200 mL => 5200 mL
2 US qt => 2 US qt
1 US gal => 1 US gal
1 imp gal => 1 imp gal
2 qt => ask 2 US qt | 2 imp qt
2 quarts => ask 2 US qt | 2 imp qt
1 gal => ask 1 US gal | 1 imp gal
2 gallons => ask 2 US gal | 2 imp gal
1 pint => ask 1 US pt | 1 imp pt
8 fl oz => ask 8 US fl oz | 8 imp fl oz
-0.4 => no
0.4-0.5 => no
0.4 kg => no
8 oz => no
0.4 L 0.5 L => no
a bit => no

@roomVolume
120 => 120 m³
120 m3 => 120 m³
1.200 m³ => 1200 m³

@canGrams
412 => 412 g
412 g => 412 g
412.5 => 412.5 g
1,200 g => 1200 g
1.200 => 1200 g
0.4 kg => 0.4 kg
14.5 oz => 14.5 oz
14½ oz => 14.5 oz
1 lb 2 oz => 18 oz
412 mL => no

@minutes
90 => 90 min
90 min => 90 min
90 minutes => 90 min
90' => 90 min
1.5 h => 1.5 h
1½ h => 1.5 h
1 h 20 => 80 min
1 h 20 min => 80 min
1h20 => 80 min
1 hr 20 mins => 80 min
half an hour => 0.5 h
an hour => 1 h
1,500 => 1500 min
20 to 30 => no
20–30 min => no
1:20 => ask 80 s | 80 min
90 km => no
-5 => no
1 h 75 => no

@seconds
2.4 => 2.4 s
2,4 s => 2.4 s
2.4 sec => 2.4 s
1 min 20 s => 80 s
1:20 => 80 s

@days
3 => 3 d
3 days => 3 d
1 week => 1 wk

@portMm
52 => 52 mm
52,5 mm => 52.5 mm
52.50 => 52.5 mm
52,500 mm => 52.5 mm
5.2 cm => 5.2 cm
2 1/16 in => 2.0625 in
2 1/16" => 2.0625 in
2.047 in => 2.047 in
52 x 60 => no
Ø 52 => no

@playMm
0.05 => 0.05 mm
0,05 mm => 0.05 mm
.05 => 0.05 mm
50 µm => 50 µm
2 thou => 2 thou
0.002 in => 0.002 in
1,250 mm => 1.25 mm

@millimetres
250 => 250 mm
1.250 => ask 1.25 mm | 1250 mm
1,250 mm => ask 1.25 mm | 1250 mm
1 ft 2 in => 14 in
1250.0 => 1250 mm

@dropMetres
1 => 1 m
1.2 m => 1.2 m
120 cm => 120 cm
4 ft => 4 ft

@hardness
75 => 75 Shore A
75 Shore A => 75 Shore A
75 ShA => 75 Shore A

@roadSpeed
50 => 50 km/h
50 km/h => 50 km/h
50 kph => 50 km/h
30 mph => 30 mph

@count
4 => 4 pcs
4 pcs => 4 pcs
4x => 4 pcs
1,200 => 1200 pcs
4 Nm => no
four => no

@money cr
80 => 80 cr
80 cr => 80 cr
cr 80 => 80 cr
80 crowns => 80 cr
80.50 => 80.5 cr
80,50 => 80.5 cr
80,5 => 80.5 cr
1,250 => 1250 cr
1.250 => 1250 cr
1 250 => 1250 cr
1'250 => 1250 cr
1,250.00 => 1250 cr
1.250,00 cr => 1250 cr
12,345.60 => 12345.6 cr
80,- => 80 cr
80.– => 80 cr
½ => 0.5 cr
-80 => no
80 € => no
$80 => no
80-90 => no
80 90 => no
80.505,5 cr => 80505.5 cr
80.5055 => no

@money JPY
1250 => 1250 JPY
1,250 => 1250 JPY
¥1,250 => 1250 JPY
1.250 => 1250 JPY
12.50 => no

@money KWD
1.250 => ask 1.25 KWD | 1250 KWD
0.250 => 0.25 KWD
12.5 KWD => 12.5 KWD
1,250.500 => 1250.5 KWD
`;
