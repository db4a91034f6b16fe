/** @jest-environment node */
import { JSDOM } from 'jsdom';
import { asked, quick } from './style-rules.cjs';

type Rules = (element: unknown, handle: (rule: { selectorText: string }) => void) => void;

const { window } = new JSDOM(`
  <style>
    .blue { visibility: hidden }
    p.blue, .far .near > a { color: blue }
    [title] { color: green }
    @media screen { .blue { top: 1px } ul .blue { top: 2px } }
    @media print { p { display: none } }
    div:not(.far) { left: 1px }
    .blue { color: navy }
    input, .near { left: 2px }
  </style>
  <main><div class="far"><p class="blue near" title="t"><a>…</a></p></div><ul><li class=" blue
    x">…</li></ul><input type="text" disabled><svg class="blue"><g></g></svg><details><summary>…</summary></details></main>`);
const inside = (wrapper: object) =>
  (wrapper as Record<symbol, unknown>)[
    Object.getOwnPropertySymbols(wrapper).find((s) => s.description === 'impl')!
  ];
const by = (rules: Rules, element: Element) => {
  const found: string[] = [];
  rules(inside(element), (rule) => found.push(rule.selectorText));
  return found;
};
const everything = [...window.document.querySelectorAll('*')];

test.each(everything.map((e) => [e.localName, e]))(
  'the rules of <%s> and their order are those that jsdom finds',
  (_, e) => {
    expect(by(quick, e)).toEqual(by(asked, e));
  },
);

test('a rule that comes later is seen too', () => {
  const li = window.document.querySelector('li')!;
  const before = by(quick, li).length;
  window.document.styleSheets[0]!.insertRule('.x { color: red }', 0);
  expect(by(quick, li)).toHaveLength(before + 1);
  expect(by(quick, li)).toEqual(by(asked, li));
});
