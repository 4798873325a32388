/** A tool and the steps that want it. */
export interface ToolUse {
  readonly tool: string;
  readonly steps: readonly string[];
}

/**
 * The tools that steps ask for, in the order in which they are first picked up. “12 mm, long extension” is two tools;
 * the same words mean the same tool, whatever their case.
 */
export function toolList(steps: readonly { readonly id: string; readonly tool: string }[]): ToolUse[] {
  const tools = new Map<string, { tool: string; steps: string[] }>();
  for (const { id, tool } of steps) {
    for (const name of splitTools(tool)) {
      const key = name.toLowerCase();
      const known = tools.get(key) ?? { tool: name, steps: [] };
      known.steps.push(id);
      tools.set(key, known);
    }
  }
  return [...tools.values()];
}

/** A comma parts two tools, but one that follows a bare size (“cross-point bit, Japanese pattern”) says which. */
function splitTools(text: string): string[] {
  return text
    .split(/;|,(?!\s*(?:Japanese|security|offset|angled|deep|slim|insulated)\b)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}
