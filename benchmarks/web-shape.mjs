// How long the functions of the web code are, and how much of it is tests: node benchmarks/web-shape.mjs
// A function counts with the lines from its first to its last, functions within it included; what is
// handed over in one line or two says nothing about shape and is left out. Told besides as the model codebases are
// counted: declared functions alone, by the lines between their braces.
import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";

const web = new URL("../web/", import.meta.url).pathname;
const ts = createRequire(join(web, "package.json"))("typescript");

const SHORTEST = 3;
const LONG = 30;

const files = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory()
      ? files(join(folder, e.name))
      : /\.tsx?$/.test(e.name) && !e.name.endsWith(".d.ts")
        ? [join(folder, e.name)]
        : [],
  );

const isTest = (name) => /\.test\.tsx?$/.test(name);
const lengths = [];
const declared = [];
const lines = { test: 0, other: 0 };

for (const name of files(join(web, "src"))) {
  const text = readFileSync(name, "utf8");
  lines[isTest(name) ? "test" : "other"] += text.split("\n").filter((l) => l.trim()).length;
  if (isTest(name)) continue;
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true);
  const line = (at) => source.getLineAndCharacterOfPosition(at).line;
  const visit = (node) => {
    if (ts.isFunctionLike(node) && node.body) {
      const long = line(node.end) - line(node.getStart()) + 1;
      if (long >= SHORTEST) {
        const called = (node.name ?? node.parent?.name)?.getText() ?? "(none)";
        const within = Math.max(0, line(node.body.end) - line(node.body.getStart()) - 1);
        if (ts.isFunctionDeclaration(node)) declared.push(within);
        lengths.push({ long, where: `${name.slice(web.length)} ${called}` });
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
}

lengths.sort((a, b) => a.long - b.long);
declared.sort((a, b) => a - b);
const at = (share) => lengths[Math.floor(share * (lengths.length - 1))].long;
const hundredth = (many, of) => Math.round((100 * many.length) / of.length);
const over = lengths.filter((l) => l.long > LONG);
console.log(
  `Web: ${lengths.length} functions of ${SHORTEST} lines or more, ${at(0.5)} lines in the middle, ${at(0.9)} at nine in ten,` +
    ` ${hundredth(over, lengths)} in a hundred over ${LONG};` +
    ` ${declared.length} declared, between the braces ${declared[Math.floor(0.9 * (declared.length - 1))]} at nine in ten,` +
    ` ${hundredth(
      declared.filter((w) => w > LONG),
      declared,
    )} in a hundred over ${LONG};` +
    ` ${lines.test} lines of tests to ${lines.other} others, ${(lines.test / (lines.test + lines.other)).toFixed(2)} of all`,
);
if (process.argv.includes("--longest"))
  for (const l of over.reverse().slice(0, 25)) console.log(`  ${l.long} ${l.where}`);
