import ts from "typescript";

const TAGS = ["unit", "range", "source"];
const NUMERIC = /^(?:number|Estimate|Grams|Celsius|Minutes|Fraction)(?: \| null)?$/;

/** An exported function that gives a number says in its comment the unit, the range, and where the formula is from. */
export const toldNumbers = {
  meta: {
    type: "problem",
    schema: [],
    messages: { untold: "“{{name}}” gives a number: its comment lacks {{tags}}." },
  },
  create(context) {
    const services = context.sourceCode.parserServices;
    const checker = services.program.getTypeChecker();
    const check = (node, id) => {
      const symbol = services.getSymbolAtLocation(id);
      const [signature] = symbol ? checker.getTypeOfSymbol(symbol).getCallSignatures() : [];
      if (!symbol || !signature || !NUMERIC.test(checker.typeToString(signature.getReturnType()))) return;
      const told = new Set(symbol.getJsDocTags(checker).flatMap(({ name, text }) => (ts.displayPartsToString(text).trim() === "" ? [] : [name])));
      const missing = TAGS.filter((tag) => !told.has(tag));
      if (missing.length > 0) context.report({ node: id, messageId: "untold", data: { name: id.name, tags: missing.map((tag) => `@${tag}`).join(", ") } });
    };
    return {
      ExportNamedDeclaration({ declaration }) {
        if (declaration?.type === "FunctionDeclaration" && declaration.id) check(declaration, declaration.id);
        if (declaration?.type === "VariableDeclaration")
          for (const each of declaration.declarations) if (each.id.type === "Identifier") check(declaration, each.id);
      },
    };
  },
};
