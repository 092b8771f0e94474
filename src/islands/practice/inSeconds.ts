/** A time as people say it: `48 s`, `1:05 min`. */
export function inSeconds(s: number): string {
  const whole = Math.round(s);
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')} min`;
}
