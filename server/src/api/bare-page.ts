import esc from 'escape-html';

/** A page of HTML without script, readable on any phone. */
export const barePage = (
  title: string,
  body: string,
) => `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1"><title>${esc(title)}</title><style>
body{font:18px/1.45 system-ui,sans-serif;color:#12222E;background:#F7F4EC;margin:0 auto;max-width:44rem;padding:1rem}
h1{font-size:1.6rem;margin:.2rem 0}
h2{font-size:1.15rem;margin:1.6rem 0 .4rem;border-top:2px solid #12222E;padding-top:.5rem}
.state,.urgent{font-weight:700;padding:.8rem 1rem;border-left:8px solid #12222E;background:#FFFDF7}
.urgent{background:#BF3F0A;color:#fff;border:0}
.times{display:flex;flex-wrap:wrap;gap:.6rem 2rem;margin:1rem 0 0}
.times dt{color:#4C5D68}
.times dd{margin:0;font-size:1.5rem;font-weight:700;font-variant-numeric:tabular-nums}
.times dd.was{font-size:.9rem;font-weight:400;color:#4C5D68}
.zone,.small{color:#4C5D68;font-size:.9rem}
button{font:inherit;font-weight:700;min-height:64px;width:100%;background:#12222E;color:#fff;border:2px solid #12222E;cursor:pointer}
button.other{background:none;color:#12222E}
form{border:2px solid #12222E;padding:1rem;margin:1rem 0}
form p:first-child{margin-top:0}
table{border-collapse:collapse;width:100%}
th,td{text-align:left;vertical-align:top;padding:.45rem .5rem .45rem 0;border-bottom:1px solid #CFC9BA}
th{width:36%;font-weight:600}
li{margin:.3rem 0}
.calls{list-style:none;padding:0}
.call{display:block;padding:1rem;border:2px solid #12222E;color:#12222E;font-weight:700;overflow-wrap:anywhere}
form:has(.other){border:0;padding:0}
details{border:2px solid #12222E;margin:.6rem 0}
summary{padding:1rem;font-weight:700;cursor:pointer}
details form{border:0;margin:0}
label{display:block;margin:.6rem 0}
label input,label select,label textarea{font:inherit;min-height:48px;width:100%;box-sizing:border-box;border:2px solid #12222E;padding:0 .6rem;background:#fff}
label.tick{display:flex;gap:.8rem;align-items:center;min-height:48px}
label.tick input{width:28px;min-height:28px;flex:none}
td{overflow-wrap:anywhere}
</style></head><body><main>${body}</main></body></html>`;
