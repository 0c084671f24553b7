import type { CoreError } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';

/** A page that says why it shows nothing else, for what is refused before the application is asked. */
export function troublePage(error: CoreError): string {
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Vetro</title>
<style>body{margin:0;background:#f5f1e8;color:#20292b;font:16px/1.5 sans-serif}
main{max-width:32rem;margin:6rem auto;padding:2rem;background:#fffdf8;border-radius:6px;box-shadow:0 6px 22px rgb(32 41 43/.14)}
a{color:#2c5f7c}</style></head>
<body><main><h1>This cannot be shown</h1><p>${escaped(errorSentence(error) ?? '')}</p><a href="/">Go to the shelf</a></main></body>
</html>
`;
}

function escaped(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
