import { describe, expect, it } from 'vitest';
import { dataForPage } from './opened-on-page.ts';

describe('data for a page', () => {
  it('cannot end the script that it stands in, and is read back as it was', () => {
    const name = '</script><script>alert(1)</script><!-- "quoted" \u2028';
    const text = dataForPage({ document: { name } });
    expect(text).not.toContain('<');
    expect(JSON.parse(text)).toEqual({ document: { name } });
  });
});
