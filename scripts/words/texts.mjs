import ts from 'typescript';

/** Attributes of a template that a person reads. */
const READ = /^(title|label|placeholder|aria-label|hint|alt|summary|words|question|caption)$/;

/** What a person may read of a source file: strings with a blank in them, and the texts of templates. Code, imports and comments are left out. */
export function textsOf(path, source) {
  if (!path.endsWith('.vue')) return strings(source);
  const scripts = [...source.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].flatMap((m) => strings(m[1]));
  const template = /<template>([\s\S]*)<\/template>/.exec(source)?.[1] ?? '';
  return [...scripts, ...templateTexts(template)];
}

function strings(source) {
  const file = ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true);
  const texts = [];
  const add = (text) => /\S\s\S/.test(text) && texts.push(text);
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node.text);
    // A template is read as one sentence, its values as a blank place.
    else if (ts.isTemplateExpression(node))
      add([node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join('…'));
    ts.forEachChild(node, visit);
  };
  visit(file);
  return texts;
}

function templateTexts(template) {
  const tag = /\{\{([\s\S]*?)\}\}|<!--[\s\S]*?-->|<[^>"']*(?:"[^"]*"[^>"']*|'[^']*'[^>"']*)*>/g;
  const texts = template
    .replace(tag, '\n')
    .split('\n')
    .filter((text) => /\S/.test(text));
  for (const [whole, code] of template.matchAll(tag)) {
    if (code !== undefined) texts.push(...strings(code));
    else
      for (const [, name, value] of whole.matchAll(/\s([:@#\w.-]+)="([^"]*)"/g))
        if (READ.test(name)) texts.push(value);
  }
  return texts;
}
