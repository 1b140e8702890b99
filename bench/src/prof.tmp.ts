import { pictureFromRgba, understand } from '@urbild/core';
import { BuiltInEngine, paintStage, readRequest } from '@urbild/engine';
import { Session } from 'node:inspector';
import { writeFileSync } from 'node:fs';
async function main() {
  const side = Number(process.argv[2] ?? 256), n = Number(process.argv[3] ?? 6);
  const look = process.argv[4] ?? 'linocut';
  const { rgba, width, height } = paintStage(understand('lighthouse in a storm'), { width: 768, height: 512, seed: 3, medium: look as never });
  const ref = pictureFromRgba(rgba, width, height);
  const engine = new BuiltInEngine();
  const drag = process.argv[5] === 'drag';
  const render = (k: number) => engine.render(readRequest({ prompt: 'Ilse poles the punt at dusk with Brom among reeds', width: side, height: side, seed: drag ? 5 : k, influences: [{ weight: drag ? 0.6 + 0.05 * (k % 9) : 1, pictures: [{ content: look }] }] }), async () => ref);
  for (let i = 0; i < 3; i++) await render(i);
  const s = new Session(); s.connect();
  const post = (m: string, p?: object) => new Promise<any>((ok, no) => (s as any).post(m, p, (e: any, r: any) => e ? no(e) : ok(r)));
  await post('Profiler.enable'); await post('Profiler.setSamplingInterval', { interval: 500 }); await post('Profiler.start');
  const t: number[] = []; let tim: any;
  for (let i = 0; i < n; i++) { const a = performance.now(); tim = (await render(10 + i)).timings; t.push(performance.now() - a); }
  const { profile } = await post('Profiler.stop');
  writeFileSync('/tmp/p.cpuprofile', JSON.stringify(profile));
  console.log(side, look, t.map(Math.round).join(' '), JSON.stringify(Object.fromEntries(Object.entries(tim).map(([k, v]) => [k, Math.round(v as number)]))));
  const self = new Map<string, number>(); const total = new Map<string, number>();
  const byId = new Map(profile.nodes.map((x: any) => [x.id, x])); const parent = new Map<number, number>();
  for (const x of profile.nodes) for (const c of x.children ?? []) parent.set(c, x.id);
  const name = (x: any) => `${x.callFrame.functionName || '(anon)'} ${x.callFrame.url.split('/').pop()}:${x.callFrame.lineNumber + 1}`;
  profile.samples.forEach((id: number, i: number) => {
    const dt = profile.timeDeltas[i] / 1000 / n;
    const x: any = byId.get(id); self.set(name(x), (self.get(name(x)) ?? 0) + dt);
    const seen = new Set<string>(); for (let k: number | undefined = id; k !== undefined; k = parent.get(k)) seen.add(name(byId.get(k)));
    for (const s2 of seen) total.set(s2, (total.get(s2) ?? 0) + dt);
  });
  const top = (m: Map<string, number>, k: number) => [...m].sort((a, b) => b[1] - a[1]).slice(0, k).map(([a, b]) => `${b.toFixed(1).padStart(8)}  ${a}`).join('\n');
  console.log('SELF\n' + top(self, 32)); console.log('TOTAL\n' + top(total, 70));
}
void main();
