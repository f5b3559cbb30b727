import { readFileSync, readdirSync } from 'node:fs';
const last = new Map(),
  sum = {};
const one = () => {
  for (const d of readdirSync('/proc')) {
    if (!/^\d+$/.test(d)) continue;
    try {
      const l = readFileSync(`/proc/${d}/cmdline`, 'utf8');
      const t = l.includes('chromium')
        ? 'chromium ' + (l.match(/--type=([\w-]+)/)?.[1] ?? 'browser')
        : l.includes('Houses')
          ? 'houses'
          : l.includes('worker')
            ? 'node worker'
            : l.split('\0')[0].slice(-20);
      const f = readFileSync(`/proc/${d}/stat`, 'utf8').split(') ')[1].split(' ');
      const v = (+f[11] + +f[12]) / 100;
      sum[t] = (sum[t] ?? 0) + v - (last.get(d) ?? 0);
      last.set(d, v);
    } catch {}
  }
};
one();
for (const k in sum) delete sum[k];
const i = setInterval(one, 200);
process.on('SIGTERM', () => {
  one();
  console.log(sum);
  process.exit();
});
