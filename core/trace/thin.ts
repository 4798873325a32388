/** Points for a curve: times and values side by side. */
export interface Points {
  readonly times: Float64Array;
  readonly values: Float64Array;
}

/**
 * What a curve of so many pixels needs of many points: the first, the lowest, the highest and the last of every column,
 * in the order they came, so that no peak and no dip is lost.
 * @param pixels columns, at least 1 @param from @param to the stretch to draw, s; all of it where left out
 */
export function thin(
  { times, values }: Points,
  pixels: number,
  from = times[0] ?? 0,
  to = times[times.length - 1] ?? 0,
): Points {
  const n = times.length;
  if (n <= pixels * 4 || pixels < 1 || !(to > from)) return { times, values };
  const outT = new Float64Array(pixels * 4 + 4);
  const outV = new Float64Array(pixels * 4 + 4);
  let count = 0;
  const push = (at: number): void => {
    outT[count] = times[at]!;
    outV[count] = values[at]!;
    count += 1;
  };
  const scale = pixels / (to - from);
  let at = 0;
  while (at < n && times[at]! < from) at += 1;
  // One point before the edge, so that the curve comes in from outside.
  if (at > 0) push(at - 1);
  while (at < n && times[at]! <= to && count < outT.length - 5) {
    const column = Math.min(pixels - 1, Math.floor((times[at]! - from) * scale));
    const start = at;
    let [low, high] = [at, at];
    const edge = column === pixels - 1 ? Number.POSITIVE_INFINITY : from + (column + 1) / scale;
    while (at < n && times[at]! <= to && (times[at]! < edge || at === start)) {
      if (values[at]! < values[low]!) low = at;
      if (values[at]! > values[high]!) high = at;
      at += 1;
    }
    push(start);
    const [first, second] = low < high ? [low, high] : [high, low];
    if (first > start) push(first);
    if (second > Math.max(first, start)) push(second);
    if (at - 1 > Math.max(second, start)) push(at - 1);
  }
  if (at < n) push(at);
  return { times: outT.slice(0, count), values: outV.slice(0, count) };
}
