import ts from 'typescript';
import { readFileSync } from 'node:fs';
import { execSync } from 'node:child_process';
const files = execSync("git ls-files 'app/src/*.ts' 'app/src/*.tsx' 'core/src/*.ts' 'server/src/*.ts' 'contract/src/*.ts'", { cwd: '/work/main' }).toString().trim().split('\n').filter((f) => !/\.test\.|test-kit/.test(f));
const BAD = new RegExp(process.argv[2]!, 'i');
for (const f of files) {
  const src = ts.createSourceFile(f, readFileSync('/work/main/' + f, 'utf8'), ts.ScriptTarget.Latest, true, f.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS);
  const visit = (n: ts.Node) => {
    let t: string | null = null;
    if (ts.isJsxText(n)) t = n.text.trim();
    else if (ts.isStringLiteral(n) && !ts.isImportDeclaration(n.parent) && /\s/.test(n.text)) t = n.text;
    else if (ts.isNoSubstitutionTemplateLiteral(n) || ts.isTemplateHead(n) || ts.isTemplateMiddle(n) || ts.isTemplateTail(n)) t = n.text;
    if (t && BAD.test(t)) console.log(`${f}:${src.getLineAndCharacterOfPosition(n.getStart()).line + 1}: ${t.replace(/\s+/g, ' ').slice(0, 160)}`);
    ts.forEachChild(n, visit);
  };
  visit(src);
}
