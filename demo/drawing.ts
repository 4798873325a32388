/** A made-up view into a bore: housing, plate and deposit, as a drawing to be rendered to a picture. */
export function boreDrawing(deposit: number, unit: 'throttle-body' | 'idle-valve'): string {
  // A small fixed generator: the same picture at every seeding.
  let state = Math.round(deposit * 1000) + 7;
  const next = (): number => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
  const spots = Array.from({ length: Math.round(deposit * 420) }, () => {
    const angle = next() * 2 * Math.PI;
    const radius = 250 - next() ** 2 * 120;
    return `<circle cx="${(400 + radius * Math.cos(angle)).toFixed(1)}" cy="${(300 + radius * Math.sin(angle)).toFixed(1)}" r="${(3 + next() * 13).toFixed(1)}" fill="#1c1510" fill-opacity="${(0.25 + next() * 0.5).toFixed(2)}"/>`;
  }).join('');
  const plate =
    unit === 'throttle-body'
      ? '<ellipse cx="400" cy="300" rx="244" ry="238" fill="url(#b)"/><rect x="150" y="288" width="500" height="24" rx="12" fill="#8d8f8c"/><circle cx="320" cy="300" r="9" fill="#5c5e5c"/><circle cx="480" cy="300" r="9" fill="#5c5e5c"/>'
      : '<circle cx="400" cy="300" r="150" fill="url(#b)"/><rect x="392" y="150" width="16" height="300" fill="#7f817e"/>';
  return `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600"><defs><radialGradient id="a"><stop offset="0.7" stop-color="#6f716d"/><stop offset="0.86" stop-color="#b9bab4"/><stop offset="1" stop-color="#8b8d88"/></radialGradient><linearGradient id="b" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#d7c9a2"/><stop offset="1" stop-color="#a28f5e"/></linearGradient></defs><rect width="800" height="600" fill="#4b4f4e"/><circle cx="400" cy="300" r="292" fill="url(#a)"/>${plate}<circle cx="400" cy="300" r="250" fill="none" stroke="#2c241b" stroke-width="${(2 + deposit * 22).toFixed(1)}" stroke-opacity="${(0.2 + deposit * 0.7).toFixed(2)}"/>${spots}</svg>`;
}
