/**
 * Sun and moon after Meeus, Astronomical Algorithms (1998), chapters 12, 22, 25 and 47, with the larger terms of its
 * tables 47.A and 47.B: an implementation apart from the app's, to hold it against. Times in ms of UTC.
 */
const RAD = Math.PI / 180;
const DELTA_T_DAYS = 70 / 86_400;
const sin = (degrees: number) => Math.sin(degrees * RAD);
const cos = (degrees: number) => Math.cos(degrees * RAD);
const turn = (degrees: number) => ((degrees % 360) + 360) % 360;
const julianDay = (time: number) => time / 86_400_000 + 2_440_587.5;
const centuries = (time: number) => (julianDay(time) + DELTA_T_DAYS - 2_451_545) / 36_525;

interface Ecliptic {
  readonly longitude: number;
  readonly latitude: number;
  readonly kilometres: number;
}

export function sun(time: number): Ecliptic {
  const t = centuries(time);
  const m = 357.52911 + 35_999.05029 * t - 0.0001537 * t * t;
  const centre = (1.914602 - 0.004817 * t) * sin(m) + (0.019993 - 0.000101 * t) * sin(2 * m) + 0.000289 * sin(3 * m);
  const node = 125.04 - 1934.136 * t;
  return { longitude: turn(280.46646 + 36_000.76983 * t + centre - 0.00569 - 0.00478 * sin(node)), latitude: 0, kilometres: 149_597_870 };
}

const LONGITUDE: readonly (readonly [d: number, m: number, moon: number, f: number, l: number, r: number])[] = [
  [0, 0, 1, 0, 6_288_774, -20_905_355],
  [2, 0, -1, 0, 1_274_027, -3_699_111],
  [2, 0, 0, 0, 658_314, -2_955_968],
  [0, 0, 2, 0, 213_618, -569_925],
  [0, 1, 0, 0, -185_116, 48_888],
  [0, 0, 0, 2, -114_332, -3149],
  [2, 0, -2, 0, 58_793, 246_158],
  [2, -1, -1, 0, 57_066, -152_138],
  [2, 0, 1, 0, 53_322, -170_733],
  [2, -1, 0, 0, 45_758, -204_586],
  [0, 1, -1, 0, -40_923, -129_620],
  [1, 0, 0, 0, -34_720, 108_743],
  [0, 1, 1, 0, -30_383, 104_755],
  [2, 0, 0, -2, 15_327, 10_321],
  [0, 0, 1, 2, -12_528, 0],
  [0, 0, 1, -2, 10_980, 79_661],
  [4, 0, -1, 0, 10_675, -34_782],
  [0, 0, 3, 0, 10_034, -23_210],
  [4, 0, -2, 0, 8548, -21_636],
  [2, 1, -1, 0, -7888, 24_208],
  [2, 1, 0, 0, -6766, 30_824],
  [1, 0, -1, 0, -5163, -8379],
  [1, 1, 0, 0, 4987, -16_675],
  [2, -1, 1, 0, 4036, -12_831],
  [2, 0, 2, 0, 3994, -10_445],
  [4, 0, 0, 0, 3861, -11_650],
  [2, 0, -3, 0, 3665, 14_403],
  [0, 1, -2, 0, -2689, -7003],
  [2, 0, -1, 2, -2602, 0],
  [2, -1, -2, 0, 2390, 10_056],
  [1, 0, 1, 0, -2348, 6322],
  [2, -2, 0, 0, 2236, -9884],
  [0, 1, 2, 0, -2120, 5751],
  [0, 2, 0, 0, -2069, 0],
  [2, -2, -1, 0, 2048, -4950],
  [2, 0, 1, -2, -1773, 4130],
  [2, 0, 0, 2, -1595, 0],
];
const LATITUDE: readonly (readonly [d: number, m: number, moon: number, f: number, b: number])[] = [
  [0, 0, 0, 1, 5_128_122],
  [0, 0, 1, 1, 280_602],
  [0, 0, 1, -1, 277_693],
  [2, 0, 0, -1, 173_237],
  [2, 0, -1, 1, 55_413],
  [2, 0, -1, -1, 46_271],
  [2, 0, 0, 1, 32_573],
  [0, 0, 2, 1, 17_198],
  [2, 0, 1, -1, 9266],
  [0, 0, 2, -1, 8822],
  [2, -1, 0, -1, 8216],
  [2, 0, -2, -1, 4324],
  [2, 0, 1, 1, 4200],
  [2, 1, 0, -1, -3359],
];

export function moon(time: number): Ecliptic {
  const t = centuries(time);
  const mean = turn(218.3164477 + 481_267.88123421 * t - 0.0015786 * t * t);
  const d = turn(297.8501921 + 445_267.1114034 * t - 0.0018819 * t * t);
  const m = turn(357.5291092 + 35_999.0502909 * t);
  const own = turn(134.9633964 + 477_198.8675055 * t + 0.0087414 * t * t);
  const f = turn(93.272095 + 483_202.0175233 * t - 0.0036539 * t * t);
  const e = 1 - 0.002516 * t;
  let longitude = 3958 * sin(119.75 + 131.849 * t) + 1962 * sin(mean - f) + 318 * sin(53.09 + 479_264.29 * t);
  let distance = 0;
  for (const [a, b, c, g, l, r] of LONGITUDE) {
    const argument = a * d + b * m + c * own + g * f;
    longitude += l * e ** Math.abs(b) * sin(argument);
    distance += r * e ** Math.abs(b) * cos(argument);
  }
  let latitude = -2235 * sin(mean);
  for (const [a, b, c, g, l] of LATITUDE) latitude += l * e ** Math.abs(b) * sin(a * d + b * m + c * own + g * f);
  const nutation = -0.00478 * sin(125.04 - 1934.136 * t);
  return { longitude: turn(mean + longitude / 1e6 + nutation), latitude: latitude / 1e6, kilometres: 385_000.56 + distance / 1000 };
}

/** Geocentric altitude, degrees. */
function altitude({ longitude, latitude }: Ecliptic, time: number, north: number, east: number): number {
  const t = centuries(time);
  const tilt = 23.439291 - 0.0130042 * t;
  const declination = Math.asin(sin(latitude) * cos(tilt) + cos(latitude) * sin(tilt) * sin(longitude)) / RAD;
  const ascension = Math.atan2(sin(longitude) * cos(tilt) - Math.tan(latitude * RAD) * sin(tilt), cos(longitude)) / RAD;
  const sidereal = 280.46061837 + 360.98564736629 * (julianDay(time) - 2_451_545);
  const hour = turn(sidereal + east - ascension);
  return Math.asin(sin(north) * sin(declination) + cos(north) * cos(declination) * cos(hour)) / RAD;
}

/** The first rise (or set) between two moments, ms; null where there is none. */
export function rises(body: "sun" | "moon", up: boolean, from: number, to: number, north: number, east: number): number | null {
  const above = (time: number) => {
    const where = body === "sun" ? sun(time) : moon(time);
    const parallax = Math.asin(6378.14 / where.kilometres) / RAD;
    const horizon = body === "sun" ? -0.8333 : 0.7275 * parallax - 0.5667;
    return altitude(where, time, north, east) - horizon;
  };
  const step = 300_000;
  for (let time = from; time < to; time += step) {
    const next = Math.min(to, time + step);
    if (up ? above(time) <= 0 && above(next) > 0 : above(time) >= 0 && above(next) < 0) {
      let [low, high] = [time, next];
      while (high - low > 500) {
        const middle = (low + high) / 2;
        if (above(middle) > 0 === up) high = middle;
        else low = middle;
      }
      return (low + high) / 2;
    }
  }
  return null;
}
