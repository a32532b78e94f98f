import path from 'node:path';

import ts from 'typescript';

import { ROOT } from './paths.mjs';

/** Where the trade's numbers are handed on: the app and all that it is made of. The demo is made with the table's own. */
const WORKSPACES = ['core', 'contract', 'app'];
/** A worker's work is given all that it needs by its question. */
const WORKER = /\.worker\.ts$/;

/**
 * Where a function that takes the trade's numbers (`trade`, as a parameter or one of its options) is called without
 * them, handed over as a value, or where the table itself is read: such a place would work with the table's numbers
 * whatever the studio has. Answers `<file>:<line> <what>`, and how many calls were looked at.
 */
export function notHandedOn(root = ROOT, from = 'app') {
  const ours = (file) => WORKSPACES.some((each) => file.fileName.startsWith(`${root}/${each}/src/`));
  const config = path.join(root, from, 'tsconfig.json');
  const { config: read } = ts.readConfigFile(config, ts.sys.readFile);
  const { fileNames, options } = ts.parseJsonConfigFileContent(read, ts.sys, path.dirname(config));
  const program = ts.createProgram(fileNames, options);
  const checker = program.getTypeChecker();
  const places = [];
  let calls = 0;

  const symbolOf = (node) => {
    const symbol = checker.getSymbolAtLocation(node);
    return symbol && symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol;
  };
  const files = program.getSourceFiles().filter(ours);
  /** The functions that take the trade, each with the places of those parameters that are it, or hold it. */
  const takers = new Map(
    files
      .flatMap(({ statements }) => statements.filter(ts.isFunctionDeclaration))
      .flatMap((declaration) => {
        const takes = declaration.parameters.flatMap((parameter, at) => {
          const own = parameter.name.getText() === 'trade';
          const held = !own && checker.getTypeAtLocation(parameter).getProperty('trade');
          // A law of shape brings its own.
          return own || (held && parameter.name.getText() !== 'law') ? [{ at, own }] : [];
        });
        return takes.length > 0 ? [[declaration, takes]] : [];
      }),
  );
  // What a name stands for is only asked where it can be one of them: the checker takes long for all.
  const names = new Set([...takers.keys()].map(({ name }) => name?.text));
  const takesOf = (node) =>
    (ts.isIdentifier(node) && names.has(node.text) && takers.get(symbolOf(node)?.valueDeclaration)) || [];

  for (const file of files) {
    const name = path.relative(root, file.fileName);
    const tell = (node, what) =>
      places.push(`${name}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1} ${what}`);
    const visit = (node) => {
      if (ts.isCallExpression(node)) {
        for (const { at, own } of takesOf(node.expression)) {
          calls += 1;
          const given = node.arguments[at];
          if (!given || (!own && !checker.getTypeAtLocation(given).getProperty('trade')))
            tell(node, `${node.expression.getText()}() without trade`);
        }
      } else if (ts.isIdentifier(node) && isValue(node) && !WORKER.test(name) && takesOf(node).length > 0) {
        tell(node, `${node.text} as a value`);
      }
      if (ts.isPropertyAccessExpression(node) && node.expression.getText() === 'TRADE') tell(node, node.getText());
      ts.forEachChild(node, visit);
    };
    visit(file);
  }
  return { places, calls };
}

/** Whether a name stands for a value that is not called here. */
function isValue(node) {
  const { parent } = node;
  if (!parent || ts.isImportSpecifier(parent) || ts.isExportSpecifier(parent)) return false;
  // A component is told by its types what it must be given.
  if (ts.isJsxOpeningLikeElement(parent) || ts.isFunctionDeclaration(parent) || ts.isTypeQueryNode(parent))
    return false;
  return !ts.isCallExpression(parent) || parent.expression !== node;
}
