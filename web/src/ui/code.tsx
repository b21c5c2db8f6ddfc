import { useEffect, useState } from 'react';
import { fetchedAhead } from './ahead.ts';

export type CodeLanguage = 'html' | 'css' | 'javascript' | 'json';

type Highlight = (code: string, language: CodeLanguage) => string;

/** Longer code is shown plain: colouring it would hold up the page. */
const LONGEST = 300_000;

let loading: Promise<Highlight> | null = null;

async function loadHighlighter(): Promise<Highlight> {
  const [{ default: hljs }, { default: xml }, { default: css }, { default: javascript }, { default: json }] =
    await Promise.all([
      import('highlight.js/lib/core'),
      import('highlight.js/lib/languages/xml'),
      import('highlight.js/lib/languages/css'),
      import('highlight.js/lib/languages/javascript'),
      import('highlight.js/lib/languages/json'),
    ]);
  hljs.registerLanguage('html', xml);
  hljs.registerLanguage('css', css);
  hljs.registerLanguage('javascript', javascript);
  hljs.registerLanguage('json', json);
  return (code, language) => hljs.highlight(code, { language }).value;
}

const load = () => (loading ??= loadHighlighter());
fetchedAhead(load);

/** Code, coloured once the highlighter has arrived. The library escapes the code; it only adds spans. */
export function Code({
  code,
  language,
  label,
}: {
  readonly code: string;
  readonly language: CodeLanguage;
  readonly label: string;
}) {
  const [highlight, setHighlight] = useState<{ run: Highlight } | null>(null);
  useEffect(() => {
    void load().then((run) => {
      setHighlight({ run });
    });
  }, []);
  const className = 'code block p-4 font-mono text-[12.5px] leading-[19px] whitespace-pre';
  return (
    <pre aria-label={label} tabIndex={0} className="h-full overflow-auto bg-white">
      {highlight && code.length < LONGEST ? (
        <code className={className} dangerouslySetInnerHTML={{ __html: highlight.run(code, language) }} />
      ) : (
        <code className={className}>{code}</code>
      )}
    </pre>
  );
}
