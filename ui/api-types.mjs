// Writes the types of the HTTP API from its description: a file that is sent is a Blob, and a table that is looked up
// by a name may not hold it.
import { readFileSync, writeFileSync } from 'node:fs'
import openapiTS, { astToString } from 'openapi-typescript'
import ts from 'typescript'

const to = process.argv[2] ?? 'src/api/schema.d.ts'
const described = JSON.parse(readFileSync('src/api/openapi.json', 'utf8'))
const { factory } = ts
const BLOB = factory.createTypeReferenceNode(factory.createIdentifier('Blob'))
const UNDEFINED = factory.createKeywordTypeNode(ts.SyntaxKind.UndefinedKeyword)

function maybe(member) {
  if (!ts.isIndexSignatureDeclaration(member) || member.type.kind === ts.SyntaxKind.UnknownKeyword) return member
  const type = factory.createUnionTypeNode([member.type, UNDEFINED])
  return factory.updateIndexSignature(member, member.modifiers, member.parameters, type)
}

const types = await openapiTS(described, {
  defaultNonNullable: false, // what is sent may leave out what has a default; an answer holds it
  transform: (schema) => (schema.format === 'binary' ? BLOB : undefined),
  postTransform: (type) =>
    ts.isTypeLiteralNode(type) ? factory.updateTypeLiteralNode(type, type.members.map(maybe)) : undefined,
})
writeFileSync(to, astToString(types))
