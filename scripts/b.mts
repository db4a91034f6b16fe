import { benchShelf } from './bench/shelf';
for (const r of await benchShelf()) console.log(r.what, r.measured);
