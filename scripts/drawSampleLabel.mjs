// Draws the sample label, an invented bag, as the picture that ships with the label desk: node scripts/drawSampleLabel.mjs
import { join } from 'node:path';
import { launchBrowser } from './lib/browser.mjs';
import { ROOT } from './lib/run.mjs';

const { browser, close } = await launchBrowser();
const page = await browser.newPage();
await page.setViewport({ width: 760, height: 860, deviceScaleFactor: 1 });
await page.setContent(`<style>
body{margin:0;background:#d9cbb0;font-family:Arial,Helvetica,'DejaVu Sans',sans-serif;color:#1b2a22}
.bag{margin:30px 50px;padding:34px 40px;background:#f3ecd9;border:3px solid #6d5a36;border-radius:18px 18px 8px 8px;transform:rotate(-0.4deg)}
h1{font-size:44px;margin:0;color:#2e5b34;letter-spacing:1px}h2{font-size:21px;margin:2px 0 18px;font-weight:normal}
.grade{font-size:54px;font-weight:bold;margin:4px 0 18px}
h3{font-size:21px;border-top:3px solid;border-bottom:3px solid;padding:6px 0;margin:0 0 8px}
div.l{display:flex;justify-content:space-between;font-size:22px;line-height:1.55}div.i{padding-left:28px}
p{font-size:19px;line-height:1.45;margin:14px 0 0}b{font-size:26px}
</style><div class=bag><h1>MERLE HOLLOW</h1><h2>Pelleted Garden Feed</h2><div class=grade>5-3-6</div>
<h3>GUARANTEED ANALYSIS</h3>
<div class=l><span>Total Nitrogen (N)</span><span>5.0 %</span></div>
<div class="l i"><span>Ammoniacal Nitrogen</span><span>0.8 %</span></div>
<div class="l i"><span>Water Insoluble Nitrogen</span><span>4.2 %</span></div>
<div class=l><span>Available Phosphate (P2O5)</span><span>3.0 %</span></div>
<div class=l><span>Soluble Potash (K2O)</span><span>6.0 %</span></div>
<div class=l><span>Calcium (Ca)</span><span>7.5 %</span></div>
<div class=l><span>Sulfur (S)</span><span>1.2 %</span></div>
<p>Derived from: feather meal, bone meal, sulfate of potash</p>
<p>Beds: 100 g per square metre, twice a year</p>
<p><b>Net weight 20 kg</b></p></div>`);
await page.screenshot({ path: join(ROOT, 'packages/web/src/papers/sampleLabel.png') });
await close();
