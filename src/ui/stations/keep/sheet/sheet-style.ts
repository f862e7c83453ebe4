/** The style of a page that is sent on: all that it needs is in it, nothing is asked for from outside. */
export const SHEET_STYLE = `
:root{--color-sheet:#fafcfc;--color-pan:#ebd9a8;--color-brass:#b88a2a;--color-brass-line:#6f5512;--color-silver:#d5dce1;--color-silver-light:#f5f7f8;--color-silver-dark:#a9b4be;--ink:#161c44;--second:#434a70;--line:#c3cbd6;--rose:#a0154a;color-scheme:light}
*{box-sizing:border-box}
body{margin:0;background:#edf2f2;color:var(--ink);font:16px/1.45 system-ui,sans-serif}
main{max-width:760px;margin:0 auto;padding:24px 20px 48px;background:#fafcfc}
h1{font-size:28px;line-height:1.15;margin:0}
h2{font-size:18px;margin:28px 0 6px;padding-bottom:4px;border-bottom:1.5px solid var(--ink)}
h3{font-size:15px;margin:14px 0 2px;color:var(--second)}
p{margin:6px 0}
ul,ol{margin:0;padding:0;list-style:none}
li{border-bottom:1px solid var(--line);padding:6px 0;break-inside:avoid}
.small{font-size:13.5px;color:var(--second)}
.why{color:var(--second)}
.mind{color:var(--rose);font-weight:600}
.goes{display:grid;grid-template-columns:8.5em 4.5em 1fr;gap:0 12px}
.goes span:nth-child(2){text-align:right;font-variant-numeric:tabular-nums}
.step{display:grid;grid-template-columns:2em 1fr;gap:0 8px;padding:12px 0}
.step>b{font-weight:600}
.cue{display:grid;grid-template-columns:repeat(3,1fr);border:1px solid #7a84a0;margin-top:8px}
.cue>div{display:flex;gap:8px;padding:8px;font-size:14px}
.cue>.now{outline:2px solid var(--ink);background:#fff}
.cue svg{flex:none;width:56px;height:56px}
.fill-sheet{fill:var(--color-sheet)}.fill-pan{fill:var(--color-pan)}.fill-brass{fill:var(--color-brass)}.stroke-brass-line{stroke:var(--color-brass-line)}.fill-silver{fill:var(--color-silver)}.fill-silver-light{fill:var(--color-silver-light)}.fill-silver-dark{fill:var(--color-silver-dark)}.fill-ink{fill:var(--ink)}.fill-ground{fill:#edf2f2}.fill-none{fill:none}
table{border-collapse:collapse;width:100%;font-variant-numeric:tabular-nums;font-size:15px}
th,td{text-align:right;padding:3px 0 3px 12px;border-bottom:1px solid var(--line);font-weight:400}
th:first-child{text-align:left;padding-left:0}
.in1{padding-left:14px!important}.in2{padding-left:28px!important}
caption{text-align:left;font-weight:600}
@media(max-width:520px){.cue{grid-template-columns:1fr}.goes{grid-template-columns:1fr auto}.goes span:nth-child(3){grid-column:1/-1}}
@media print{body{background:#fff}main{padding:0;max-width:none;background:#fff}@page{margin:14mm}}
`;
