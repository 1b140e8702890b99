import { XMLParser } from 'fast-xml-parser';

/** No more of a file's XMP than this is read, bytes: descriptions of pictures have a few thousand. */
const MOST_BYTES = 256 * 1024;
const DEEPEST = 32;

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  parseTagValue: false,
  parseAttributeValue: false,
  htmlEntities: true,
  maxNestedTags: DEEPEST,
});

type Node = string | { readonly [name: string]: Node } | readonly Node[] | undefined;

const childOf = (node: Node, name: string): Node =>
  typeof node === 'object' && !Array.isArray(node) ? (node as Record<string, Node>)[name] : undefined;
const listOf = (node: Node): readonly Node[] => (Array.isArray(node) ? node : node === undefined ? [] : [node]);

/** All texts of a value: plain, or the items of an rdf:Alt, rdf:Seq or rdf:Bag. */
function textsOf(node: Node): string[] {
  if (node === undefined) return [];
  if (typeof node === 'string') return node.trim() ? [node.trim()] : [];
  if (Array.isArray(node)) return node.flatMap(textsOf);
  for (const container of ['rdf:Alt', 'rdf:Seq', 'rdf:Bag']) {
    const inside = childOf(node, container);
    if (inside !== undefined) return listOf(childOf(inside, 'rdf:li')).flatMap(textsOf);
  }
  return textsOf(childOf(node, '#text'));
}

/**
 * What an XMP packet (ISO 16684-1) says under qualified names as `dc:title`, at most 400 characters each. Packets that are too large,
 * nested deeper than 32, that declare entities or that are no XML say nothing. Never throws.
 */
export function readXmp(packet: Uint8Array | undefined, names: readonly string[]): Map<string, string> {
  const out = new Map<string, string>();
  if (!packet || packet.byteLength > MOST_BYTES) return out;
  const text = Buffer.from(packet.buffer, packet.byteOffset, packet.byteLength).toString('utf8');
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return out;
  let document: Node;
  try {
    document = parser.parse(text) as Node;
  } catch {
    return out;
  }
  const rdf = childOf(childOf(document, 'x:xmpmeta'), 'rdf:RDF') ?? childOf(document, 'rdf:RDF');
  for (const description of listOf(childOf(rdf, 'rdf:Description')))
    for (const name of names) {
      const value = [...textsOf(childOf(description, name)), ...textsOf(childOf(description, `@${name}`))].join(', ');
      if (value && !out.has(name)) out.set(name, value.slice(0, 400));
    }
  return out;
}
