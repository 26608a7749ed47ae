import { renderToStaticMarkup } from 'react-dom/server';
import { Barcode } from './Barcode.tsx';

/** Widths of bars and spaces of Code 128 (ISO/IEC 15417, table 1), of the values that the test needs. */
const WIDTHS: Readonly<Record<string, string>> = {
  start: '211214',
  P: '313121',
  J: '112133',
  '1': '123221',
  // The check sum of "PJJ1": (104 + 48 + 2 x 42 + 3 x 42 + 4 x 17) modulo 103 is 18, the sign "2".
  check: '223211',
  stop: '2331112',
};

/** Widths of the bars and of the spaces between them, in modules, as they are drawn. */
function drawnWidths(text: string): string {
  const markup = renderToStaticMarkup(<Barcode text={text} />);
  const bars = [...markup.matchAll(/<rect x="(\d+)" y="0" width="(\d+)"/g)].map((bar) => ({
    start: Number(bar[1]),
    width: Number(bar[2]),
  }));
  return bars
    .map(({ start, width }, i) => {
      const next = bars[i + 1];
      return `${width}${next ? next.start - start - width : ''}`;
    })
    .join('');
}

it('draws the bars of the standard, with start, check sum and stop', () => {
  const { start, P, J, check, stop } = WIDTHS;
  expect(drawnWidths('PJJ1')).toBe([start, P, J, J, WIDTHS['1'], check, stop].join(''));
});

it('leaves ten modules white on both sides', () => {
  const markup = renderToStaticMarkup(<Barcode text="482-7K3" />);
  const width = Number(/viewBox="0 0 (\d+)/.exec(markup)?.[1]);
  const bars = [...markup.matchAll(/<rect x="(\d+)" y="0" width="(\d+)"/g)];
  const last = bars.at(-1);
  expect(Number(bars[0]?.[1])).toBe(10);
  expect(width - Number(last?.[1]) - Number(last?.[2])).toBe(10);
});
