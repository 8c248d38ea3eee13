const escaped = (text) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]);

/** The fingerprint in rows that the eye can hold against a screen: four groups of two bytes each. */
const inRows = (fingerprint) =>
  fingerprint
    .split(':')
    .join('')
    .match(/.{1,16}/g)
    .map((row) => row.match(/.{1,4}/g).join(' '));

const steps = {
  iphone: {
    name: 'iPhone and iPad',
    list: [
      'Open this page in Safari. Tap “Get the certificate”, then “Allow”.',
      'Settings, “Profile Downloaded” (at the top): “Install”, the code of the phone, “Install”.',
      'Settings, General, About, Certificate Trust Settings (at the bottom): switch on “NAME”.',
      'Come back here.',
    ],
  },
  android: {
    name: 'Android',
    list: [
      'Tap “Get the certificate”. Where the phone says it cannot open it: that is right, it is saved.',
      'Settings: search for “CA certificate”. Choose it, “Install anyway”, the code of the phone, then the file brine-dial.crt.',
      'Come back here.',
    ],
  },
};

/**
 * The page a phone opens first, over plain HTTP: what to trust, how, and whether it does by now.
 * `address`: of Brine Dial over HTTPS; `fingerprint`: of the authority, SHA-256; `name`: of the authority.
 */
export function trustPage({ address, fingerprint, name, userAgent = '' }) {
  const order = /Android/.test(userAgent) ? ['android', 'iphone'] : ['iphone', 'android'];
  const way = (id, open) => `<details${open ? ' open' : ''}><summary>${steps[id].name}</summary><ol>
${steps[id].list.map((step) => `<li>${escaped(step.replace('NAME', name))}</li>`).join('\n')}</ol></details>`;
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Brine Dial on this phone</title><link rel="icon" href="data:,">
<style>
@font-face { font-family: Barlow; src: url(/barlow.woff2) format('woff2'); }
@font-face { font-family: Barlow; font-weight: 600; src: url(/barlow-600.woff2) format('woff2'); }
@font-face { font-family: Mono; src: url(/mono.woff2) format('woff2'); }
:root { color-scheme: light dark; --paper: #f4f2ec; --ink: #17282b; --soft: #4d5c5d; --line: #cfcbbf; --brine: #0f4c4a; --on: #fff; --good: #2f6a3d; }
@media (prefers-color-scheme: dark) { :root { --paper: #101c1e; --ink: #f0eee8; --soft: #b9c4c5; --line: #3c4e51; --brine: #8fd0c6; --on: #101c1e; --good: #8fcf9d; } }
* { box-sizing: border-box; }
body { margin: 0 auto; max-width: 34rem; padding: 1.25rem 1rem 3rem; background: var(--paper); color: var(--ink); font: 17px/1.45 Barlow, sans-serif; }
h1 { font-size: 26px; font-weight: 600; line-height: 1.2; margin: 0 0 .5rem; }
p { margin: .6rem 0; }
.soft { color: var(--soft); font-size: 15px; }
.act { display: flex; align-items: center; justify-content: center; min-height: 52px; margin: 1rem 0; border-radius: 3px; background: var(--brine); color: var(--on); font-weight: 600; text-decoration: none; }
.quiet { background: none; border: 1px solid var(--brine); color: var(--brine); }
details { border-top: 1px solid var(--line); }
details:last-of-type { border-bottom: 1px solid var(--line); }
summary { min-height: 48px; padding: .7rem 0; font-weight: 600; cursor: pointer; }
ol { margin: 0 0 1rem; padding-left: 1.4rem; }
li { padding: .25rem 0; }
code { display: block; margin: .4rem 0; font: 16px/1.5 Mono, monospace; }
#state { font-weight: 600; }
#state.good { color: var(--good); }
</style></head><body>
<h1>Brine Dial on this phone</h1>
<p id="state" role="status">Asking whether this phone trusts ${escaped(new URL(address).host)} …</p>
<p>Without that it neither starts without signal nor opens the camera. It is done once.</p>
<a class="act" href="/brine-dial.crt" download="brine-dial.crt">Get the certificate</a>
${way(order[0], true)}
${way(order[1], false)}
<p>Before you install it, look at its SHA-256 fingerprint. It must be the one at the computer (where Brine Dial was started, or there under “Your account”):</p>
<code>${inRows(fingerprint).join('<br>')}</code>
<p class="soft">Another one means that somebody stands between: do not install it. The certificate speaks for this computer, for names in .local and for private addresses only.</p>
<a class="act quiet" id="open" href="${escaped(address)}">Open Brine Dial</a>
<script>
const state = document.getElementById('state');
async function ask() {
  try {
    await fetch(${JSON.stringify(address)} + '/health/live', { mode: 'no-cors', cache: 'no-store' });
    state.textContent = '✓ This phone trusts it. Open Brine Dial, then add it to the home screen.';
    state.className = 'good';
    document.getElementById('open').className = 'act';
  } catch {
    state.textContent = 'This phone does not trust it yet.';
    setTimeout(ask, 3000);
  }
}
addEventListener('pageshow', ask, { once: true });
</script>
</body></html>
`;
}
