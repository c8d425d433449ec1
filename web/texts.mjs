// Prints every text of the front end that a person can see, as JSON lines: file, line, text. For the check of words.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { parse } from "vue/compiler-sfc";
import ts from "typescript";

const SAID =
  /^(label|title|text|placeholder|alt|what|why|says|aria-[a-z]+|description|name|question|caption|hint|header|empty|note)$/;
const EXPRESSION = 5,
  TEXT = 2,
  ATTRIBUTE = 6;

const found = [];
const add = (file, line, text) => {
  const plain = text.replace(/\s+/g, " ").trim();
  // Outlines of pictures are no text.
  if (/\p{L}{2}/u.test(plain) && !/^M[\d{]/.test(plain)) found.push({ file, line, text: plain });
};

/** Texts among the strings of a script: those with a space, or that begin with a capital letter. */
function strings(file, source, from) {
  const tree = ts.createSourceFile("a.ts", source, ts.ScriptTarget.Latest, true);
  const line = (node) => from + tree.getLineAndCharacterOfPosition(node.getStart()).line;
  const kept = (text) => /\p{L}\s|\s\p{L}|^\p{Lu}/u.test(text);
  (function walk(node) {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (kept(node.text)) add(file, line(node), node.text);
    } else if (ts.isTemplateExpression(node)) {
      const text =
        node.head.text +
        node.templateSpans
          .map((span) => "{{ " + span.expression.getText() + " }}" + span.literal.text)
          .join("");
      if (kept(node.head.text + node.templateSpans.map((span) => span.literal.text).join(" ")))
        add(file, line(node), text);
    }
    ts.forEachChild(node, walk);
  })(tree);
}

function template(file, node) {
  const children = node.children ?? [];
  let run = "",
    at = 0;
  const flush = () => {
    if (run) add(file, at, run);
    run = "";
  };
  for (const child of children) {
    if (child.type === TEXT || child.type === EXPRESSION) {
      at ||= child.loc.start.line;
      if (!run) at = child.loc.start.line;
      run += child.type === TEXT ? child.content : child.loc.source;
      if (child.type === EXPRESSION) strings(file, `(${child.content.loc.source})`, child.loc.start.line);
    } else flush();
  }
  flush();
  for (const prop of node.props ?? []) {
    if (prop.type === ATTRIBUTE) {
      if (
        prop.value &&
        (SAID.test(prop.name) || (/[A-Z]/.test(prop.value.content[0] ?? "") && prop.name !== "d"))
      )
        add(file, prop.loc.start.line, prop.value.content);
    } else if (prop.exp && !/^(class|style|key|on)$/.test(prop.arg?.content ?? prop.name))
      strings(file, `(${prop.exp.loc.source})`, prop.loc.start.line);
  }
  for (const child of children) if (child.type === 1) template(file, child);
}

const files = readdirSync("src", { recursive: true })
  .filter((one) => /\.(vue|ts)$/.test(one) && !one.endsWith(".d.ts"))
  .map((one) => join("src", one))
  .sort();
for (const file of files) {
  const source = readFileSync(file, "utf8");
  if (file.endsWith(".ts")) strings(file, source, 1);
  else {
    const { descriptor } = parse(source, { filename: file });
    if (descriptor.scriptSetup)
      strings(file, descriptor.scriptSetup.content, descriptor.scriptSetup.loc.start.line);
    if (descriptor.template) template(file, descriptor.template.ast);
  }
}
process.stdout.write(JSON.stringify(found));
